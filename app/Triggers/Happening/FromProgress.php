<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Access\Plans;
use App\Access\Viewers;
use App\Learning\Quizzes\Quiz;
use App\Learning\Quizzes\QuizRules;
use App\Models\Completion;
use App\Models\Content;
use App\Models\Course;
use App\Models\Person;
use App\Models\QuizTry;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;
use App\Words\Say;
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Viewer;

/** What was finished, and how quizzes went. Whether a module or a course is finished is the core's to say. */
final readonly class FromProgress
{
    public function __construct(private Plans $plans, private Viewers $viewers)
    {
    }

    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        $course = Course::query()->with('liveRevision')->where('key', $when->course)->first();
        $decider = $course === null ? null : $this->plans->live($course);
        if ($course === null || $decider === null) {
            return [];
        }
        $outline = $decider->course->outline;
        $position = $when->item === null ? null : $outline->positionOf($when->item);
        $title = $position === null ? $decider->course->title ?? $course->key : $outline->items[$position]->title ?? (string) $when->item;

        return match (true) {
            $when->kind() === EventKind::QuizScored => $this->quizzes($course, $when, $title, $from, $to),
            $when->kind() === EventKind::CourseFinished => $this->wholes($course, $decider, null, $when, $title, $from, $to),
            $position === null => [],
            $outline->items[$position]->kind === Kind::Module => $this->wholes($course, $decider, $position, $when, $title, $from, $to),
            default => $this->items($course, $when, $title, $from, $to),
        };
    }

    /** @return list<Happening> */
    private function quizzes(Course $course, When $when, string $title, int $from, int $to): array
    {
        [$least, $below] = [$when->from ?? 0, $when->to ?? 101];
        if ($when->band !== null) {
            $reach = QuizRules::of(Content::query()->where('course_id', $course->id)->where('item_key', $when->item)->first()?->quiz_rules)->reach($when->band);
            if ($reach === null) {
                return [];
            }
            [$least, $below] = $reach;
        }
        // Scores are fractions: what is told as 20 % may be a hair less.
        $tries = QuizTry::query()->where('course_id', $course->id)->where('item_key', $when->item)->whereBetween('tried_at', [Happening::stamp($from), Happening::stamp($to)])
            ->where('score', '>=', ($least - 1e-9) / 100)->where('score', '<', ($below - 1e-9) / 100)->orderBy('id')->limit(Happening::MOST)->get();

        return array_values($tries->map(static fn (QuizTry $one): Happening => new Happening("quiz {$one->id}", $one->person_id, $one->tried_at->getTimestamp(), Say::text('triggers.cause.quiz-scored', ['item' => $title, 'percent' => Quiz::percent($one->score)])))->all());
    }

    /** @return list<Happening> */
    private function items(Course $course, When $when, string $title, int $from, int $to): array
    {
        return array_values($this->completions($course, $from, $to)->where('item_key', $when->item)
            ->map(static fn (Completion $one): Happening => new Happening("finished {$course->id} {$one->item_key} {$one->person_id}", $one->person_id, $one->completed_at->getTimestamp(), Say::text('triggers.cause.finished', ['item' => $title])))->all());
    }

    /**
     * At a completion by which a module, or the course, came to be finished: it was not the instant before.
     *
     * @param  ?int  $module  its position; null: the whole course
     * @return list<Happening>
     */
    private function wholes(Course $course, Decider $decider, ?int $module, When $when, string $title, int $from, int $to): array
    {
        $done = $this->completions($course, $from, $to)->groupBy('person_id');
        $people = Person::query()->whereIn('id', $done->keys()->all())->get();
        $viewers = $people->isEmpty() ? [] : $this->viewers->ofAll($people->toBase(), (new Collection([$course]))->toBase());
        $found = [];
        foreach ($done as $person => $completions) {
            $viewer = $viewers[$person][$course->id] ?? null;
            foreach ($viewer === null ? [] : $completions->sortBy('completed_at') as $one) {
                $at = $one->completed_at->getTimestamp();
                if ($viewer !== null && $this->isFinished($decider, $viewer, $module, $at) && ! $this->isFinished($decider, $viewer, $module, $at - 1)) {
                    $found[] = new Happening("finished {$course->id} {$when->item} {$person}", (int) $person, $at, Say::text('triggers.cause.finished', ['item' => $title]));
                    break;
                }
            }
        }

        return $found;
    }

    private function isFinished(Decider $decider, Viewer $viewer, ?int $module, int $at): bool
    {
        $snapshot = $this->plans->ask($decider, Decider::asOf($viewer, $at), $at)->snapshot();
        $outline = $decider->course->outline;
        if ($module !== null) {
            return $snapshot->nearestPass($module)?->progress->isComplete($module) === true;
        }
        $asked = 0;
        foreach ($outline->items as $position => $item) {
            if ($outline->isPublishedLesson($position) && $outline->optionalOnPath[$position] === 0 && $snapshot->holdsActivePass() && $snapshot->countsForAPass($position)) {
                $asked++;
                if ($snapshot->nearestPass($position)?->progress->isComplete($position) !== true) {
                    return false;
                }
            }
        }

        return $asked > 0;
    }

    /** @return Collection<int, Completion> */
    private function completions(Course $course, int $from, int $to): Collection
    {
        return Completion::query()->where('course_id', $course->id)->whereBetween('completed_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('completed_at')->limit(Happening::MOST)->get();
    }
}
