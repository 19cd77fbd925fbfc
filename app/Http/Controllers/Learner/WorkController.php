<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\SchoolClock;
use App\Access\WhoLooks;
use App\Http\Requests\QuizRequest;
use App\Learning\Contents\LessonContents;
use App\Learning\Contents\OpenContents;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Learning\Quizzes\NoMoreTries;
use App\Learning\Quizzes\TryQuiz;
use App\Learning\Watching\OtherStatement;
use App\Learning\Watching\ReportWatched;
use App\Learning\Watching\Statement;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Learner\Watched;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Rules\FinishedBy;
use SilentKeep\Core\Watching\InvalidReport;

/** What a learner does in a lesson that is finished by more than a mark. */
final readonly class WorkController
{
    public function __construct(private LearnerViews $views, private LessonContents $contents, private WhoLooks $who, private SchoolClock $clock)
    {
    }

    /** Reports of a player, as xAPI statements: one, or a list of them. */
    public function watched(Request $request, Course $course, string $item, ReportWatched $report): JsonResponse
    {
        [$person, $view, $contents] = $this->entered($request, $course, $item);
        $needed = $view->finishOf($item)?->threshold;
        $video = LessonContents::video($contents);
        abort_if($view->finishableBy($item) !== FinishedBy::Watch || $needed === null || $video === null, 403);
        try {
            $statements = Statement::readAll($request->getContent(), ["/courses/{$course->getRouteKey()}/{$item}", "/courses/{$course->key}/{$item}"]);
        } catch (InvalidReport $e) {
            return new JsonResponse(['message' => $e->getMessage()], 422);
        }
        try {
            $watch = $report($person, $course, $video, $statements, $needed);
        } catch (OtherStatement $e) {
            return new JsonResponse(['message' => $e->getMessage()], 409);
        }
        abort_if($watch === null, 403);

        return new JsonResponse(new Watched(
            array_map(static fn (Statement $statement): string => $statement->id, $statements),
            $watch->coverage->share(),
            $watch->coverage->segments,
            $watch->isFinished($needed),
        ));
    }

    public function quiz(QuizRequest $request, Course $course, string $item, TryQuiz $try): RedirectResponse
    {
        [$person, $view, $contents] = $this->entered($request, $course, $item);
        abort_if($view->finishableBy($item) === null || $contents->content === null || $contents->content->quiz === [], 403);
        if ($contents->content->version !== $request->integer('version')) {
            return back()->with(Flash::refused(Say::text('learner.quiz.changed')));
        }
        $finish = $view->finishOf($item);
        try {
            $try($person, $course, $contents->content, $request->answers(), $finish?->by === FinishedBy::Quiz ? $finish->threshold : null);
        } catch (NoMoreTries $e) {
            return back()->with(Flash::refused($e->from === null ? Say::text('learner.quiz.no_tries') : Say::text('learner.quiz.too_soon', ['at' => $this->clock->words($e->from)])));
        }

        return back();
    }

    /** @return array{Person, LearnerView, OpenContents} */
    private function entered(Request $request, Course $course, string $item): array
    {
        $person = WhoLooks::person($request);
        $view = $this->views->at($course, $this->who->at($request, $course));
        $decision = $view?->decision($item);
        abort_if($person === null || $view === null || $decision === null, 404);
        abort_if($view->finishableBy($item) === null, 403);

        return [$person, $view, $this->contents->of($course, $decision)];
    }
}
