<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\LookRequest;
use App\Models\Course;
use App\Notices\SentAway;
use App\Pages\Learner\BoardPage;
use App\Pages\Learner\CoursePage;
use App\Pages\Learner\LessonPage;
use App\Pages\Workspace\StandInPageBuilder;
use Inertia\Inertia;
use Inertia\Response;

final readonly class StandInController
{
    public function __construct(private StandInPageBuilder $pages)
    {
    }

    public function show(LookRequest $request, Course $course): Response
    {
        $item = $request->query('item');
        $page = $this->pages->frame($course, $request->look(), is_string($item) ? $item : null);
        abort_if($page === null, 404);

        return Inertia::render('keep/StandIn', get_object_vars($page));
    }

    /** What stands in the frame: a page of the learner's side. */
    public function view(LookRequest $request, Course $course, ?string $item = null): Response
    {
        $told = $this->pages->page($course, $request->look(), $item, WhoLooks::bearer($request));
        abort_if($told === null, 404);
        [$page, $standIn] = $told;
        $component = match (true) {
            $page === null => 'Error',
            $page instanceof CoursePage => 'learner/Course',
            $page instanceof LessonPage => 'learner/Lesson',
            $page instanceof BoardPage => 'learner/Board',
            $page instanceof SentAway => 'learner/SentAway',
            default => 'learner/Notice',
        };

        return Inertia::render($component, [...($page === null ? ['status' => 404] : get_object_vars($page)), 'standIn' => $standIn]);
    }
}
