<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\SchoolClock;
use App\Words\ClosedWords;
use App\Words\Glyph;
use App\Words\Notice;
use App\Words\Sentence;
use SilentKeep\Core\Compiled\Chronicle;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Finish;
use SilentKeep\Core\Rules\FinishedBy;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** A course in the eyes of one viewer now, in what may be told to them: nothing of a hidden item, no more than the title of a locked one. */
final readonly class LearnerView
{
    private CourseSnapshot $glance;

    /** @var list<Decision> */
    private array $decisions;

    private ClosedWords $words;

    /** @var \ArrayObject<int, PathRow> by position, as they are asked for: each in words is dear, and pages name the same ones often */
    private \ArrayObject $rows;

    /** @var \ArrayObject<int, Sentence> by position: what each waits for, in short */
    private \ArrayObject $short;

    /** @param  ?string  $as  how one looks, where not as oneself */
    public function __construct(private Decider $decider, private Viewer $viewer, private SchoolClock $clock, private ?string $as = null)
    {
        $now = $clock->now();
        /** @var \ArrayObject<int, PathRow> $rows */
        $rows = new \ArrayObject;
        $this->rows = $rows;
        /** @var \ArrayObject<int, Sentence> $short */
        $short = new \ArrayObject;
        $this->short = $short;
        $this->glance = $decider->glance($viewer, $now);
        $this->decisions = CompiledDecider::of($decider->prepared)->decide($viewer, $now);
        $this->words = new ClosedWords($decider, $this->glance, $clock);
    }

    public function title(): string
    {
        return $this->decider->course->title ?? $this->decider->course->key;
    }

    /** Null where the item is hidden from this viewer or is not there: the two cannot be told apart. */
    public function decision(string $key): ?Decision
    {
        $position = $this->decider->course->outline->positionOf($key);
        $decision = $position === null ? null : $this->decisions[$position];

        return $decision?->state === State::Hidden ? null : $decision;
    }

    public function isOpen(string $key): bool
    {
        return $this->decision($key)?->state === State::Open;
    }

    /** Whether there is anything at all to be seen. */
    public function isVisible(): bool
    {
        return array_filter($this->decisions, static fn (Decision $decision): bool => $decision->state !== State::Hidden) !== [];
    }

    public function kind(string $key): ?Kind
    {
        $position = $this->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->decider->course->outline->items[$position]->kind;
    }

    /** How this viewer may finish the item; null where they cannot. */
    public function finishableBy(string $key): ?FinishedBy
    {
        $position = $this->decider->course->outline->positionOf($key);
        $decision = $this->decision($key);
        $item = $position === null ? null : $this->decider->course->outline->items[$position];
        if ($item === null || $decision === null || ! $decision->act || $this->viewer->staff || ! in_array($item->kind, [Kind::Lesson, Kind::Part], true)) {
            return null;
        }

        return $item->finish->by ?? FinishedBy::Mark;
    }

    public function frame(): CourseFrame
    {
        [$finished, $lessons] = $this->progress();

        return new CourseFrame($this->decider->course->key, $this->title(), $this->passWords(), $this->left(), $lessons, $finished, $this->as, $this->turnsIn(), $this->path());
    }

    /** @return array{int, int} lessons finished, of how many: those that count for the pass, or may be known of where there is none */
    public function progress(): array
    {
        $finished = $lessons = 0;
        foreach ($this->decider->course->outline->items as $position => $item) {
            // With whom one looks, their progress is what counts.
            $whose = $this->glance->learner() ?? $this->glance;
            $counts = $whose->holdsActivePass() ? $whose->countsForAPass($position) : ! $this->decider->course->outline->draftOnPath[$position];
            if ($item->kind === Kind::Lesson && $counts && $this->decisions[$position]->state !== State::Hidden) {
                $lessons++;
                $finished += $this->isDone($item->key) ? 1 : 0;
            }
        }

        return [$finished, $lessons];
    }

    /** How many lessons are open to them. */
    public function openLessons(): int
    {
        $open = 0;
        foreach ($this->decider->course->outline->items as $position => $item) {
            $open += $item->kind === Kind::Lesson && $this->decisions[$position]->state === State::Open ? 1 : 0;
        }

        return $open;
    }

    public function passWords(): ?string
    {
        $pass = $this->pass();
        $offer = $pass === null ? null : $this->decider->prepared->offerOf($pass);

        return $pass === null || $offer === null ? null : ClosedWords::passWords($pass, $offer->title ?? $offer->key, $this->clock);
    }

    /** `178 days left`, and by hours and minutes at the end; null: for good, or there is no pass. */
    private function left(): ?string
    {
        $until = $this->pass()?->until;
        if ($until === null || $until === Instant::NEVER) {
            return null;
        }
        $left = max(0, $until - $this->clock->now());
        [$count, $unit] = match (true) {
            $left >= 2 * 86400 => [intdiv($left, 86400), 'day'],
            $left >= 2 * 3600 => [intdiv($left, 3600), 'hour'],
            default => [max(1, intdiv($left, 60)), 'minute'],
        };

        return $count === 1 ? "1 {$unit} left" : "{$count} {$unit}s left";
    }

    /** What opens next by time alone, of what may be known of: the first of those that open together. */
    public function opensNext(): ?DateRow
    {
        $opens = null;
        $soonest = Instant::NEVER;
        foreach ($this->decisions as $position => $decision) {
            if ($decision->state === State::Locked && $decision->next?->state === State::Open && $decision->next->at < $soonest) {
                $soonest = $decision->next->at;
                $opens = $this->decider->course->outline->items[$position];
            }
        }

        return $opens === null ? null : new DateRow($this->clock->words($soonest), $opens->key, $opens->title ?? $opens->key, true);
    }

    /** The item, where it is open and still to be done by them. */
    public function toDo(string $key): ?PathRow
    {
        return $this->finishableBy($key) !== null && ! $this->isDone($key) ? $this->rowOf($key) : null;
    }

    /** The active pass that lasts longest. */
    private function pass(): ?Pass
    {
        $longest = null;
        foreach (($this->viewer->observes ?? $this->viewer)->passes as $pass) {
            if ($this->decider->prepared->offerOf($pass) !== null && $pass->isActive($this->clock->now()) && ($longest === null || $pass->until > $longest->until)) {
                $longest = $pass;
            }
        }

        return $longest;
    }

    /** The first open lesson or part that is still to be done; failing that, none. */
    public function nextStep(?string $after = null): ?PathRow
    {
        $start = $after === null ? -1 : $this->decider->course->outline->positionOf($after) ?? -1;
        foreach ($this->decider->course->outline->items as $position => $item) {
            if ($position > $start && $this->decisions[$position]->state === State::Open && $item->kind === Kind::Lesson && ! $this->isDone($item->key)) {
                return $this->row($position);
            }
        }

        return null;
    }

    public function rowOf(string $key): ?PathRow
    {
        $position = $this->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->row($position);
    }

    public function notice(Decision $decision): Notice
    {
        return $this->words->notice($decision);
    }

    /** Something else that is open to them. */
    public function somethingOpen(): ?PathRow
    {
        foreach ($this->decider->course->outline->items as $position => $item) {
            if ($item->kind === Kind::Lesson && $this->decisions[$position]->state === State::Open) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** @return list<PathRow> */
    private function path(): array
    {
        $rows = [];
        foreach ($this->decisions as $position => $decision) {
            if ($decision->state !== State::Hidden) {
                $rows[] = $this->row($position);
            }
        }

        return $rows;
    }

    private function row(int $position): PathRow
    {
        return $this->rows[$position] ??= $this->rowInWords($position);
    }

    private function rowInWords(int $position): PathRow
    {
        $item = $this->decider->course->outline->items[$position];
        $decision = $this->decisions[$position];
        $glyph = Glyph::of($decision);
        $done = $this->isDone($item->key);

        return new PathRow(
            $item->key,
            $item->title ?? $item->key,
            $item->kind->value,
            $this->decider->course->outline->depth[$position],
            $glyph->value,
            Glyph::looksOnly($decision),
            $decision->state === State::Open,
            $done,
            $glyph === Glyph::Later,
            $this->status($position, $decision),
        );
    }

    private function status(int $position, Decision $decision): Sentence
    {
        $item = $this->decider->course->outline->items[$position];
        if ($item->kind === Kind::Module) {
            return match (true) {
                $decision->state !== State::Open => $this->short($position),
                $item->inOrder => Sentence::of('One after the other'),
                default => Sentence::of(''),
            };
        }
        if ($decision->state !== State::Open) {
            return $this->closedStatus($position, $decision);
        }
        if ($this->isDone($item->key)) {
            return Sentence::of('Finished '.$this->clock->date($this->done()[$item->key]));
        }
        // The end of the pass is said once, at the top.
        $ends = $decision->next !== null && $decision->next->at !== $this->pass()?->until ? ', to '.$this->clock->words($decision->next->at) : '';

        return Sentence::of(($decision->via === Route::Sample ? 'A sample, open to everyone' : 'Open').$ends);
    }

    /** What a lesson waits for together with its module is said in full on the module alone. */
    private function closedStatus(int $position, Decision $decision): Sentence
    {
        $words = $this->short($position);
        $above = $this->decider->course->outline->parent[$position];
        $module = $above === Outline::TOP ? null : $this->decisions[$above];
        if ($module === null || $module->state === State::Open || (string) $words !== (string) $this->short($above)) {
            return $words;
        }

        return $this->words->dateOnly($decision) ?? Sentence::of('');
    }

    private function short(int $position): Sentence
    {
        return $this->short[$position] ??= $this->words->short($this->decisions[$position]);
    }

    private function isDone(string $key): bool
    {
        return isset($this->done()[$key]) && $this->done()[$key] <= $this->clock->now();
    }

    /** @return array<array-key, int> what is finished by whoever is looked with, or by the viewer */
    private function done(): array
    {
        return ($this->viewer->observes ?? $this->viewer)->done;
    }

    public function decider(): Decider
    {
        return $this->decider;
    }

    public function viewer(): Viewer
    {
        return $this->viewer;
    }

    /** Whether they hold a pass of their own, or look with somebody. */
    public function isInside(): bool
    {
        return $this->viewer->staff || $this->viewer->observes !== null || $this->glance->holdsActivePass();
    }

    /** When it was finished; null: it is not. */
    public function finishedAt(string $key): ?int
    {
        return $this->isDone($key) ? $this->done()[$key] : null;
    }

    /** @return list<PathRow> the lessons that may be known of */
    public function lessons(): array
    {
        $lessons = [];
        foreach ($this->decider->course->outline->items as $position => $item) {
            if ($item->kind === Kind::Lesson && $this->decisions[$position]->state !== State::Hidden) {
                $lessons[] = $this->row($position);
            }
        }

        return $lessons;
    }

    /** @return list<PathRow> what may be known of inside an item */
    public function inside(string $key): array
    {
        $outline = $this->decider->course->outline;
        $above = $outline->positionOf($key);

        return array_map($this->row(...), array_values(array_filter(array_keys($outline->items), fn (int $position): bool => $outline->parent[$position] === $above && $this->decisions[$position]->state !== State::Hidden)));
    }

    /** The lesson or part before it that is open. */
    public function before(string $key): ?PathRow
    {
        $here = $this->decider->course->outline->positionOf($key) ?? 0;
        for ($position = $here - 1; $position >= 0; $position--) {
            if ($this->decisions[$position]->state === State::Open && $this->isRead($position)) {
                return $this->row($position);
            }
        }

        return null;
    }

    /** The lesson or part that comes next in reading order, open or not. */
    public function after(string $key): ?PathRow
    {
        $here = $this->decider->course->outline->positionOf($key) ?? count($this->decisions);
        for ($position = $here + 1; $position < count($this->decisions); $position++) {
            if ($this->decisions[$position]->state !== State::Hidden && $this->isRead($position)) {
                return $this->row($position);
            }
        }

        return null;
    }

    private function isRead(int $position): bool
    {
        return in_array($this->decider->course->outline->items[$position]->kind, [Kind::Lesson, Kind::Part], true);
    }

    /** How an item is finished, where it is said; the threshold is a share or a score. */
    public function finishOf(string $key): ?Finish
    {
        $position = $this->decider->course->outline->positionOf($key);

        return $position === null ? null : $this->decider->course->outline->items[$position]->finish;
    }

    /**
     * The openings and closings to come of what may be known of now, if only time moves. What opens or closes together with
     * what it lies in is told of by that alone.
     *
     * @return list<array{at: int, key: string, title: string, opens: bool, time: int}> in order; time counts the openings, or closings, of one item
     */
    public function dates(): array
    {
        $outline = $this->decider->course->outline;
        $dates = $times = [];
        $before = null;
        foreach ((new Chronicle(CompiledDecider::of($this->decider->prepared)))->of($this->viewer, $this->clock->now()) as $at => $answers) {
            $turned = [];
            foreach ($before === null ? [] : $answers->changedFrom($before) as $position) {
                $opens = $answers->decision($position)->state === State::Open;
                if ($before === null || $opens === ($before->decision($position)->state === State::Open) || $this->decisions[$position]->state === State::Hidden) {
                    continue;
                }
                $turned[$position] = $opens;
                if (($turned[$outline->parent[$position]] ?? null) !== $opens) {
                    $item = $outline->items[$position];
                    $what = $opens ? 'opens' : 'closes';
                    $time = $times[$item->key][$what] = ($times[$item->key][$what] ?? 0) + 1;
                    $dates[] = ['at' => $at, 'key' => $item->key, 'title' => $item->title ?? $item->key, 'opens' => $opens, 'time' => $time];
                }
            }
            $before = $answers;
        }

        return $dates;
    }

    /** @return array<string, string> what may stand in the words of a notice */
    public function placeholders(Decision $decision): array
    {
        return ['course' => $this->title(), 'pass' => $this->passWords() ?? '', ...$this->words->placeholders($decision)];
    }

    /** Seconds until something of what may be known of changes by time alone; null: nothing does within three weeks. */
    private function turnsIn(): ?int
    {
        $now = $this->clock->now();
        $next = null;
        foreach ($this->decisions as $decision) {
            if ($decision->state !== State::Hidden && $decision->next !== null) {
                $next = min($next ?? PHP_INT_MAX, $decision->next->at);
            }
        }

        return $next === null || $next - $now > 21 * 86400 ? null : $next - $now;
    }
}
