<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Actions\MarkFinished;
use App\Actions\NoteLook;
use App\Http\Pages\Learner\LessonPage;
use App\Http\WhoLooks;
use App\Keep\LearnerDesk;
use App\Keep\LearnerPages;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use SilentKeep\Core\Rules\FinishedBy;
use Symfony\Component\HttpFoundation\Response;

final readonly class LessonController
{
    public function __construct(private LearnerDesk $desk, private LearnerPages $pages, private MarkFinished $markFinished, private NoteLook $noteLook, private WhoLooks $who)
    {
    }

    public function show(Request $request, Course $course, string $item): Response
    {
        $person = self::person($request);
        $looker = $this->who->at($request, $course);
        $view = $this->desk->view($course, $looker);
        $back = $person === null ? route('sign-in', ['back' => route('lesson', [$course, $item], false)]) : null;
        if ($view !== null && $person !== null && $view->finishableBy($item) === FinishedBy::Visit) {
            ($this->markFinished)($person, $course, $item);
            $view = $this->desk->view($course, $looker) ?? $view;
        }
        $page = $view === null ? null : $this->pages->item($course, $view, $item, $back);
        abort_if($page === null, 404);

        if ($page instanceof LessonPage && $person !== null) {
            ($this->noteLook)($person, $course, $view, $item);
        }

        return $page instanceof LessonPage
            ? Inertia::render('learner/Lesson', get_object_vars($page))->toResponse($request)
            : Inertia::render('learner/Notice', get_object_vars($page))->toResponse($request)->setStatusCode($person === null ? 401 : 403);
    }

    public function finish(Request $request, Course $course, string $item): RedirectResponse
    {
        $person = self::person($request);
        $view = $this->desk->view($course, $this->who->at($request, $course));
        abort_if($person === null || $view === null || $view->decision($item) === null, 404);
        $by = $view->finishableBy($item);
        abort_if($by === null, 403);
        if ($by !== FinishedBy::Mark) {
            return back()->with('flash', ['kind' => 'refused', 'text' => 'This lesson is not finished by a mark.', 'lines' => []]);
        }
        ($this->markFinished)($person, $course, $item);

        return back();
    }

    private static function person(Request $request): ?Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : null;
    }
}
