<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Actions\MarkFinished;
use App\Http\Pages\Learner\LessonPage;
use App\Http\Pages\Learner\NoticePage;
use App\Keep\LearnerDesk;
use App\Keep\LessonText;
use App\Keep\SchoolOf;
use App\Keep\Views\Glyph;
use App\Keep\Views\LearnerView;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Rules\FinishedBy;
use Symfony\Component\HttpFoundation\Response;

final readonly class LessonController
{
    public function __construct(private LearnerDesk $desk, private LessonText $text, private SchoolOf $school, private MarkFinished $markFinished)
    {
    }

    public function show(Request $request, Course $course, string $item): Response
    {
        $person = self::person($request);
        $view = $this->desk->view($course, $person);
        $decision = $view?->decision($item);
        abort_if($view === null || $decision === null, 404);
        if ($decision->state !== State::Open) {
            return $this->notice($request, $course, $view, $decision, $person);
        }
        if ($person !== null && $view->finishableBy($item) === FinishedBy::Visit) {
            ($this->markFinished)($person, $course, $item);
            $view = $this->desk->view($course, $person) ?? $view;
        }
        $row = $view->rowOf($item);
        abort_if($row === null, 404);
        $page = new LessonPage(
            $view->frame(),
            $row,
            $this->text->html($course, $decision),
            $view->finishableBy($item)->value ?? 'none',
            $view->nextStep($item) ?? $view->nextStep(),
        );

        return Inertia::render('learner/Lesson', get_object_vars($page))->toResponse($request);
    }

    public function finish(Request $request, Course $course, string $item): RedirectResponse
    {
        $person = self::person($request);
        $view = $this->desk->view($course, $person);
        abort_if($person === null || $view === null || $view->decision($item) === null, 404);
        $by = $view->finishableBy($item);
        abort_if($by === null, 403);
        if ($by !== FinishedBy::Mark) {
            return back()->with('flash', ['kind' => 'refused', 'text' => 'This lesson is not finished by a mark.', 'lines' => []]);
        }
        ($this->markFinished)($person, $course, $item);

        return back();
    }

    private function notice(Request $request, Course $course, LearnerView $view, Decision $decision, ?Person $person): Response
    {
        $notice = $view->notice($decision);
        $school = ($this->school)();
        $page = new NoticePage(
            $view->frame(),
            $decision->item,
            Glyph::of($decision)->value,
            $notice->heading,
            $notice->text,
            $person === null ? route('sign-in', ['back' => route('lesson', [$course, $decision->item], false)]) : null,
            $school->contact_name,
            $school->contact_email,
            $view->nextStep() ?? $view->somethingOpen(),
        );

        return Inertia::render('learner/Notice', get_object_vars($page))->toResponse($request)->setStatusCode($person === null ? 401 : 403);
    }

    private static function person(Request $request): ?Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : null;
    }
}
