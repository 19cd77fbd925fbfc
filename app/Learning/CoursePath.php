<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Answer;
use App\Access\SchoolClock;
use App\Words\ClosedWords;
use App\Words\Glyph;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/** The way through a course as one viewer may know of it: its rows in reading order, what comes before and after, what is next. */
final class CoursePath
{
    /** @var array<int, PathRow> by position, as they are asked for: each in words is dear, and pages name the same ones often */
    private array $rows = [];

    /** @var array<int, Sentence> by position: what each waits for, in short */
    private array $short = [];

    /** @param  ?int  $passEnds  what is said of the pass, and so not of each item again */
    public function __construct(private readonly Answer $answer, private readonly ClosedWords $words, private readonly SchoolClock $clock, private readonly ?int $passEnds)
    {
    }

    /** @return list<PathRow> */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->answer->decisions() as $position => $decision) {
            if ($decision->state !== State::Hidden) {
                $rows[] = $this->row($position);
            }
        }

        return $rows;
    }

    /** @return list<PathRow> the lessons that may be known of */
    public function lessons(): array
    {
        $lessons = [];
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            if ($item->kind === Kind::Lesson && $this->answer->state($position) !== State::Hidden) {
                $lessons[] = $this->row($position);
            }
        }

        return $lessons;
    }

    /** @return list<string> keys of the lessons and parts that may be known of */
    public function known(): array
    {
        $known = [];
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            if ($this->isRead($position) && $this->answer->state($position) !== State::Hidden) {
                $known[] = $item->key;
            }
        }

        return $known;
    }

    /** @return list<PathRow> what may be known of inside an item */
    public function inside(string $key): array
    {
        $outline = $this->answer->decider->course->outline;
        $above = $outline->positionOf($key);

        return array_map($this->row(...), array_values(array_filter(array_keys($outline->items), fn (int $position): bool => $outline->parent[$position] === $above && $this->answer->state($position) !== State::Hidden)));
    }

    public function rowOf(string $key): ?PathRow
    {
        $position = $this->answer->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->row($position);
    }

    /** The first open lesson or part that is still to be done; failing that, none. */
    public function nextStep(?string $after = null): ?PathRow
    {
        $start = $after === null ? -1 : $this->answer->decider->course->outline->positionOf($after) ?? -1;
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            if ($position > $start && $this->answer->state($position) === State::Open && $item->kind === Kind::Lesson && ! $this->isDone($item->key)) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** Something else that is open to them. */
    public function somethingOpen(): ?PathRow
    {
        foreach ($this->answer->decider->course->outline->items as $position => $item) {
            if ($item->kind === Kind::Lesson && $this->answer->state($position) === State::Open) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** The lesson or part before it that is open. */
    public function before(string $key): ?PathRow
    {
        $here = $this->answer->decider->course->outline->positionOf($key) ?? 0;
        for ($position = $here - 1; $position >= 0; $position--) {
            if ($this->answer->state($position) === State::Open && $this->isRead($position)) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** The lesson or part that comes next in reading order, open or not. */
    public function after(string $key): ?PathRow
    {
        $here = $this->answer->decider->course->outline->positionOf($key) ?? $this->answer->decider->course->outline->count();
        for ($position = $here + 1; $position < $this->answer->decider->course->outline->count(); $position++) {
            if ($this->answer->state($position) !== State::Hidden && $this->isRead($position)) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** When it was finished; null: it is not. */
    public function finishedAt(string $key): ?int
    {
        return $this->isDone($key) ? $this->done()[$key] : null;
    }

    public function isDone(string $key): bool
    {
        return isset($this->done()[$key]) && $this->done()[$key] <= $this->answer->at;
    }

    private function isRead(int $position): bool
    {
        return in_array($this->answer->decider->course->outline->items[$position]->kind, [Kind::Lesson, Kind::Part], true);
    }

    private function row(int $position): PathRow
    {
        return $this->rows[$position] ??= $this->rowInWords($position);
    }

    private function rowInWords(int $position): PathRow
    {
        $item = $this->answer->decider->course->outline->items[$position];
        $decision = $this->answer->decisions()[$position];
        $glyph = Glyph::of($decision);
        $done = $this->isDone($item->key);

        return new PathRow(
            $item->key,
            $item->title ?? $item->key,
            $item->kind->value,
            $this->answer->decider->course->outline->depth[$position],
            $glyph->value,
            Glyph::looksOnly($decision),
            $decision->state === State::Open,
            $done,
            $glyph === Glyph::Later,
            $this->answer->decider->course->outline->optionalOnPath[$position] > 0,
            $this->status($position, $decision),
        );
    }

    private function status(int $position, Decision $decision): Sentence
    {
        $item = $this->answer->decider->course->outline->items[$position];
        if ($item->kind === Kind::Module) {
            return match (true) {
                $decision->state !== State::Open => $this->short($position),
                $item->inOrder => Sentence::say('learner.path.in_order'),
                default => Sentence::of(''),
            };
        }
        if ($decision->state !== State::Open) {
            return $this->closedStatus($position, $decision);
        }
        if ($this->isDone($item->key)) {
            return Sentence::say('learner.path.finished', ['date' => $this->clock->date($this->done()[$item->key])]);
        }
        // The end of the pass is said once, at the top.
        $ends = $decision->next !== null && $decision->next->at !== $this->passEnds ? $this->clock->words($decision->next->at) : null;
        $open = $decision->via === Route::Sample ? 'sample' : 'open';

        return $ends === null ? Sentence::say("learner.path.{$open}") : Sentence::say("learner.path.{$open}_until", ['at' => $ends]);
    }

    /** What a lesson waits for together with its module is said in full on the module alone. */
    private function closedStatus(int $position, Decision $decision): Sentence
    {
        $words = $this->short($position);
        $above = $this->answer->decider->course->outline->parent[$position];
        $module = $above === Outline::TOP ? null : $this->answer->decisions()[$above];
        if ($module === null || $module->state === State::Open || (string) $words !== (string) $this->short($above)) {
            return $words;
        }

        return $this->words->dateOnly($decision) ?? Sentence::of('');
    }

    private function short(int $position): Sentence
    {
        return $this->short[$position] ??= $this->words->short($this->answer->told($position));
    }

    /** @return array<array-key, int> what is finished by whoever is looked with, or by the viewer */
    private function done(): array
    {
        return ($this->answer->viewer->observes ?? $this->answer->viewer)->done;
    }
}
