<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Answer;
use App\Access\SchoolClock;
use App\Words\ClosedWords;
use App\Words\Notice;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\Finish;
use SilentKeep\Core\Rules\FinishedBy;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** A course in the eyes of one viewer now, in what may be told to them: nothing of a hidden item, no more than the title of a locked one. */
final readonly class LearnerView
{
    public CoursePath $path;

    public CourseDates $dates;

    private ClosedWords $words;

    /** @param  ?string  $as  how one looks, where not as oneself */
    public function __construct(public Answer $answer, private SchoolClock $clock, private ?string $as = null)
    {
        $this->words = new ClosedWords($answer->decider, $answer->snapshot(), $clock);
        $this->path = new CoursePath($answer, $this->words, $clock, $this->pass()?->until);
        $this->dates = new CourseDates($answer, $clock);
    }

    public function title(): string
    {
        return $this->answer->decider->course->title ?? $this->answer->decider->course->key;
    }

    /** Null where the item is hidden from this viewer or is not there: the two cannot be told apart. */
    public function decision(string $key): ?Decision
    {
        $position = $this->answer->decider->course->outline->positionOf($key);
        $decision = $position === null ? null : $this->answer->decisions()[$position];

        return $decision?->state === State::Hidden ? null : $decision;
    }

    public function isOpen(string $key): bool
    {
        return $this->decision($key)?->state === State::Open;
    }

    /** Whether there is anything at all to be seen. */
    public function isVisible(): bool
    {
        return array_filter($this->answer->decisions(), static fn (Decision $decision): bool => $decision->state !== State::Hidden) !== [];
    }

    public function kind(string $key): ?Kind
    {
        $position = $this->answer->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->answer->decider->course->outline->items[$position]->kind;
    }

    /** How this viewer may finish the item; null where they cannot. */
    public function finishableBy(string $key): ?FinishedBy
    {
        $position = $this->answer->decider->course->outline->positionOf($key);
        $decision = $this->decision($key);
        $item = $position === null ? null : $this->answer->decider->course->outline->items[$position];
        if ($item === null || $decision === null || ! $decision->act || $this->answer->viewer->staff || ! in_array($item->kind, [Kind::Lesson, Kind::Part], true)) {
            return null;
        }

        return $item->finish->by ?? FinishedBy::Mark;
    }

    /** How an item is finished, where it is said; the threshold is a share or a score. */
    public function finishOf(string $key): ?Finish
    {
        $position = $this->answer->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->answer->decider->course->outline->items[$position]->finish;
    }

    /** The item, where it is open and still to be done by them. */
    public function toDo(string $key): ?PathRow
    {
        return $this->finishableBy($key) !== null && ! $this->path->isDone($key) ? $this->path->rowOf($key) : null;
    }

    /** Whether they hold a pass of their own, or look with somebody. */
    public function isInside(): bool
    {
        return $this->answer->viewer->staff || $this->answer->viewer->observes !== null || $this->answer->snapshot()->holdsActivePass();
    }

    public function frame(): CourseFrame
    {
        [$finished, $lessons, $more] = $this->progress();

        return new CourseFrame($this->answer->decider->course->key, $this->title(), $this->passWords(), $this->left(), $lessons, $finished, $more, $this->as, $this->as !== null && $this->answer->viewer->guest && $this->answer->viewer->observes === null, $this->dates->turnsIn(), $this->path->rows());
    }

    /** @return array{int, int, int} lessons finished, of how many that are asked for: those that count for the pass, or may be known of where there is none; and optional ones not finished */
    public function progress(): array
    {
        $finished = $lessons = $more = 0;
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            // With whom one looks, their progress is what counts.
            $whose = $this->answer->snapshot()->learner() ?? $this->answer->snapshot();
            $counts = $whose->holdsActivePass() ? $whose->countsForAPass($position) : ! $this->answer->decider->course->outline->draftOnPath[$position];
            if ($item->kind === Kind::Lesson && $counts && $this->answer->state($position) !== State::Hidden) {
                $done = $this->path->isDone($item->key) ? 1 : 0;
                $optional = $this->answer->decider->course->outline->optionalOnPath[$position] > 0;
                $lessons += $optional ? 0 : 1;
                $finished += $optional ? 0 : $done;
                $more += $optional ? 1 - $done : 0;
            }
        }

        return [$finished, $lessons, $more];
    }

    /** How many lessons are open to them. */
    public function openLessons(): int
    {
        $open = 0;
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            $open += $item->kind === Kind::Lesson && $this->answer->state($position) === State::Open ? 1 : 0;
        }

        return $open;
    }

    public function passWords(): ?string
    {
        $pass = $this->pass();
        $offer = $this->offerName();

        return $pass === null || $offer === null ? null : ClosedWords::passWords($pass, $offer, $this->clock);
    }

    /** Of the pass, as it is sold. */
    public function offerName(): ?string
    {
        $pass = $this->pass();
        $offer = $pass === null ? null : $this->answer->decider->prepared->offerOf($pass);

        return $offer === null ? null : $offer->title ?? $offer->key;
    }

    /** `178 days left`, and by hours and minutes at the end; null: for good, or there is no pass. */
    private function left(): ?string
    {
        $until = $this->pass()?->until;
        if ($until === null || $until === Instant::NEVER) {
            return null;
        }
        $left = max(0, $until - $this->answer->at);
        [$count, $unit] = match (true) {
            $left >= 2 * 86400 => [intdiv($left, 86400), 'days'],
            $left >= 2 * 3600 => [intdiv($left, 3600), 'hours'],
            default => [max(1, intdiv($left, 60)), 'minutes'],
        };

        return Say::text("learner.left.{$unit}", ['count' => $count]);
    }

    /** The active pass that lasts longest. */
    public function pass(): ?Pass
    {
        $longest = null;
        foreach (($this->answer->viewer->observes ?? $this->answer->viewer)->passes as $pass) {
            if ($this->answer->decider->prepared->offerOf($pass) !== null && $pass->isActive($this->answer->at) && ($longest === null || $pass->until > $longest->until)) {
                $longest = $pass;
            }
        }

        return $longest;
    }

    public function notice(Decision $decision): Notice
    {
        return $this->words->notice($decision);
    }

    /** @return array<string, string> what may stand in the words of a notice */
    public function placeholders(Decision $decision): array
    {
        return ['course' => $this->title(), 'pass' => $this->passWords() ?? '', ...$this->words->placeholders($decision)];
    }
}
