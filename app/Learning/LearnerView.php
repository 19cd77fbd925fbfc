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
use SilentKeep\Core\Viewing\PassState;

/** A course in the eyes of one viewer now, in what may be told to them: nothing of a hidden item, no more than the title of a locked one. */
final readonly class LearnerView
{
    public CoursePath $path;

    public CourseDates $dates;

    private ClosedWords $words;

    /**
     * @param  ?string  $as  how one looks, where not as oneself
     * @param  ?string  $address  under which the course is found; null: its key
     */
    public function __construct(public Answer $answer, private SchoolClock $clock, private ?string $as = null, private ?string $address = null)
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

        return new CourseFrame($this->address ?? $this->answer->decider->course->key, $this->title(), $this->passWords(), $this->left(), $this->otherPasses(), $lessons, $finished, $more, $this->as, $this->as !== null && $this->answer->viewer->guest && $this->answer->viewer->observes === null, $this->dates->turnsIn(), $this->path->rows());
    }

    /** @return array{int, int, int} lessons finished, of how many that are asked of them; and optional ones not finished */
    public function progress(): array
    {
        return $this->answer->progress();
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

    /** `178 days left`, and by hours and minutes at the end; null: for good, there is no pass, or nothing is left of the course. */
    private function left(): ?string
    {
        return $this->leftOf($this->pass()->until ?? Instant::NEVER);
    }

    private function leftOf(int $until): ?string
    {
        if ($until === Instant::NEVER || $this->answer->snapshot()->gate !== null) {
            return null;
        }
        $left = max(0, $until - $this->answer->at);
        $days = $this->clock->wholeDays($this->answer->at, $until);
        [$count, $unit] = match (true) {
            $days >= 2 => [$days, 'days'],
            $left >= 2 * 3600 => [intdiv($left, 3600), 'hours'],
            default => [max(1, intdiv($left, 60)), 'minutes'],
        };

        return Say::text("learner.left.{$unit}", ['count' => $count]);
    }

    /** Of the active passes that which opens most of the course, and of several such the one that lasts longest. */
    public function pass(): ?Pass
    {
        return $this->activePasses()[0] ?? null;
    }

    /** @return list<Pass> theirs or those of whom they look with, that which matters most first */
    private function activePasses(): array
    {
        $active = array_values(array_filter($this->passes(), fn (Pass $pass): bool => $pass->isActive($this->answer->at)));
        $opens = [];
        foreach ($active as $index => $pass) {
            $offer = $this->answer->decider->prepared->offerOf($pass);
            $coverage = $offer === null ? null : $this->answer->decider->prepared->coverage($offer);
            $outline = $this->answer->decider->course->outline;
            $opens[$index] = [$coverage === null ? 0 : count(array_filter(array_keys($outline->items), static fn (int $position): bool => $outline->isPublishedLesson($position) && $coverage->covers($position))), $pass->until];
        }
        uksort($active, static fn (int $a, int $b): int => $opens[$b] <=> $opens[$a] ?: $a <=> $b);

        return array_values($active);
    }

    /** @return list<Pass> of the course, in whatever state */
    private function passes(): array
    {
        return array_values(array_filter(($this->answer->viewer->observes ?? $this->answer->viewer)->passes, fn (Pass $pass): bool => $this->answer->decider->prepared->offerOf($pass) !== null));
    }

    /** @return list<PassLine> the active ones but the first; where none is active, what became of the others, the latest first */
    private function otherPasses(): array
    {
        $active = $this->activePasses();
        if ($active !== []) {
            return array_map(fn (Pass $pass): PassLine => new PassLine(ClosedWords::passWords($pass, $this->nameOf($pass), $this->clock), $this->leftOf($pass->until)), array_slice($active, 1));
        }
        $passes = $this->passes();
        usort($passes, static fn (Pass $a, Pass $b): int => $b->from <=> $a->from);

        return array_map(fn (Pass $pass): PassLine => new PassLine($this->becameOf($pass), null), array_slice($passes, 0, 3));
    }

    private function becameOf(Pass $pass): string
    {
        [$what, $at] = match (true) {
            $pass->state === PassState::Revoked => ['withdrawn', null],
            $pass->state === PassState::Paused => ['paused', null],
            $pass->until <= $this->answer->at => ['ended', $pass->until],
            default => ['begins', $pass->from],
        };

        return Say::text("learner.pass.{$what}", ['offer' => $this->nameOf($pass), 'at' => $at === null ? '' : $this->clock->words($at)]);
    }

    private function nameOf(Pass $pass): string
    {
        return $this->answer->decider->prepared->offerOf($pass)->title ?? $pass->offer;
    }

    /** @return list<PathRow> what they can do now so that the item opens; empty where it waits for nothing that they can do */
    public function firstSteps(string $key): array
    {
        $outline = $this->answer->decider->course->outline;
        $position = $outline->positionOf($key);
        $steps = $position === null ? [] : (new FirstSteps($this->answer))->towards($position);

        return array_values(array_filter(array_map(fn (int $step): ?PathRow => $this->path->rowOf($outline->items[$step]->key), $steps)));
    }

    /** Whose reasons are told where an item is closed: {@see \App\Access\Answer::told()}. Null where it is not there. */
    public function told(string $item): ?Decision
    {
        $position = $this->answer->decider->course->outline->positionOf($item);

        return $position === null ? null : $this->answer->told($position);
    }

    public function notice(Decision $decision): Notice
    {
        return $this->words->notice($decision);
    }

    /** @return array<string, string> what may stand in the words of a notice */
    public function placeholders(Decision $decision): array
    {
        return ['course' => $this->title(), 'pass' => $this->passWords() ?? '', 'left' => $this->left() ?? '', ...$this->words->placeholders($decision)];
    }
}
