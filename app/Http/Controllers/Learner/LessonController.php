<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Http\DoorsMet;
use App\Http\ErrorPages;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Learning\MarkFinished;
use App\Learning\NoteLook;
use App\Learning\Reading;
use App\Learning\Watching\OpenWatch;
use App\Models\Course;
use App\Models\Person;
use App\Notices\NoticeCase;
use App\Notices\SentAway;
use App\Pages\Learner\BoardPage;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Learner\LessonPage;
use App\Pages\Learner\Shared\PageHead;
use App\Pages\Learner\Shared\PublicPages;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Support\Header;
use SilentKeep\Core\Rules\FinishedBy;
use Symfony\Component\HttpFoundation\Response;

final readonly class LessonController
{
    public function __construct(private LearnerViews $views, private CoursePageBuilder $pages, private MarkFinished $markFinished, private OpenWatch $openWatch, private NoteLook $noteLook, private WhoLooks $who, private DoorsMet $doors, private PublicPages $public)
    {
    }

    public function show(Request $request, Course $course, string $item): Response
    {
        $person = WhoLooks::person($request);
        $looker = $this->who->at($request, $course);
        $view = $this->views->at($course, $looker);
        abort_if($view === null, 404);
        $view = $person === null ? $view : $this->arrive($person, $course, $view, $item) ?? $this->views->at($course, $looker) ?? $view;
        $page = $this->pages->item($course, $view, $item, new Reading(
            bearer: WhoLooks::bearer($request),
            signIn: $person === null ? route('sign-in', ['back' => route('lesson', [$course, $item], false)]) : null,
            person: $person,
            learner: ($looker->observed ?? $person)?->id,
        ));
        // The same whether it is hidden from guests or is not there.
        abort_if($page === null, 404, $looker->guest && $person === null ? ErrorPages::HIDDEN_FROM_GUESTS : '');
        $decision = $view->decision($item);
        if (! $page instanceof LessonPage && ! $page instanceof BoardPage && $decision !== null) {
            $this->doors->met($request, $course, $view, $item, NoticeCase::of($view->told($item) ?? $decision)->value);
        }
        if ($page instanceof SentAway) {
            return Inertia::location($page->address);
        }
        if ($page instanceof LessonPage || $page instanceof BoardPage) {
            if ($person !== null) {
                ($this->noteLook)($person, $course, $view, $item);
            }
            $this->doors->then($request, 'went-on');

            return Inertia::render($page instanceof LessonPage ? 'learner/Lesson' : 'learner/Board', get_object_vars($page))
                ->withViewData('head', $this->head($request, $course, $page))->toResponse($request);
        }

        return Inertia::render('learner/Notice', get_object_vars($page))->withViewData('head', $this->public->hidden((string) $page->heading))->toResponse($request)->setStatusCode(NoticeCase::from($page->case)->status());
    }

    /** Null where it goes on without one: for a head it is asked of all courses which are for everybody to find. */
    private function head(Request $request, Course $course, LessonPage|BoardPage $page): ?PageHead
    {
        return match (true) {
            $request->headers->has(Header::INERTIA) => null,
            $page instanceof LessonPage => $this->public->lesson($course, $page),
            default => $this->public->hidden($page->item->title),
        };
    }

    /** What coming to an item does of itself; null where what may be seen has changed by it. */
    private function arrive(Person $person, Course $course, LearnerView $view, string $item): ?LearnerView
    {
        $by = $view->finishableBy($item);
        if ($by === FinishedBy::Watch && $view->path->finishedAt($item) === null) {
            ($this->openWatch)->ofItem($person, $course, $item);
        }
        if ($by !== FinishedBy::Visit) {
            return $view;
        }
        ($this->markFinished)($person, $course, $item);

        return null;
    }

    public function finish(Request $request, Course $course, string $item): RedirectResponse
    {
        $person = WhoLooks::person($request);
        $view = $this->views->at($course, $this->who->at($request, $course));
        abort_if($person === null || $view === null || $view->decision($item) === null, 404);
        $by = $view->finishableBy($item);
        abort_if($by === null, 403);
        if ($by !== FinishedBy::Mark) {
            return back()->with(Flash::refused(Say::text('learner.lesson.no_mark')));
        }
        ($this->markFinished)($person, $course, $item);

        return back();
    }
}
