<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\Answer;
use App\Access\SchoolClock;
use App\Models\CourseDocument;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** One viewer before one course at one instant, with the words for what stands there. */
final readonly class CellContext
{
    public Decider $decider;

    public Viewer $viewer;

    public int $at;

    public CourseSnapshot $snapshot;

    public Outline $outline;

    public function __construct(public Answer $answer, public CourseDocument $document, public SchoolClock $clock)
    {
        $this->decider = $answer->decider;
        $this->viewer = $answer->viewer;
        $this->at = $answer->at;
        $this->snapshot = $answer->snapshot();
        $this->outline = $answer->decider->course->outline;
    }

    /** As whoever is observed stands there themselves. */
    public function ofLearner(Viewer $learner): self
    {
        return new self($this->answer->to($learner->asObserved()), $this->document, $this->clock);
    }

    public function key(int $item): string
    {
        return $this->outline->items[$item]->key;
    }

    public function title(int $item): string
    {
        return $this->outline->items[$item]->title ?? $this->key($item);
    }

    /** The condition of an item in words: "label oars". */
    public function condition(int $item): string
    {
        $titles = $offers = [];
        foreach ($this->outline->items as $one) {
            $titles[$one->key] = $one->title ?? $one->key;
        }
        foreach ($this->decider->course->offers as $offer) {
            $offers[$offer->key] = $offer->title ?? $offer->key;
        }

        return RuleWords::condition(
            ($this->document->readItems()[$this->key($item)] ?? null)?->only(),
            static fn (string $key): string => $titles[$key] ?? $key,
            static fn (string $key): string => $offers[$key] ?? $key,
        );
    }

    /** @return list<int> what an item waits for to be finished first, for the pass that `why` speaks of */
    public function waitsFor(int $item): array
    {
        return ($this->snapshot->holdsActivePass() ? $this->snapshot : $this->snapshot->learner() ?? $this->snapshot)->nearestPass($item)?->waitsFor($item) ?? [];
    }

    /**
     * The gate of the conditions.
     *
     * @param  ?int  $inTheWay  the item whose condition is not met; null: they are
     */
    public function forWhom(int $item, ?int $inTheWay): Gate
    {
        if ($inTheWay !== null) {
            return Gate::shut(Say::text('why.cell_context.for_whom'), $this->said($inTheWay, $item, Say::text('why.cell_context.condition_condition_does_not', ['condition' => $this->condition($inTheWay)])), WhyLink::rule(Say::text('why.cell_context.condition_here'), $this->key($inTheWay), 'only'));
        }
        foreach (array_reverse($this->outline->path[$item]) as $step) {
            if ($this->outline->items[$step]->only !== null) {
                return Gate::passed(Say::text('why.cell_context.for_whom'), $this->said($step, $item, Say::text('why.cell_context.condition_condition_it_holds', ['condition' => $this->condition($step)])));
            }
        }

        return Gate::passed(Say::text('why.cell_context.for_whom'), Sentence::say('why.cell_context.no_other_condition'));
    }

    /** What is said of the item itself, or of one above it. */
    public function said(int $step, int $item, string $words): Sentence
    {
        return $step === $item ? Sentence::of($words) : Sentence::say('why.cell_context.title_what', ['what' => lcfirst($words)], ['title' => $this->title($step)]);
    }

    /** Likewise, of a date that comes from one above it. */
    public function saidWith(int $step, int $item, string $words): Sentence
    {
        return $step === $item
            ? Sentence::say('why.cell_context.words', ['words' => $words])
            : Sentence::say($this->outline->items[$step]->kind === Kind::Module ? 'why.cell_context.with_module' : 'why.cell_context.as_row', ['words' => $words], ['title' => $this->title($step)]);
    }

    /** `Mon 2 Mar to Sat 29 Aug` */
    public function dates(Pass $pass): string
    {
        $from = $this->clock->date($pass->from);

        return $pass->until === Instant::NEVER ? Say::text('why.cell_context.since_from_for_good', ['from' => $from]) : Say::text('why.cell_context.from_to_date', ['from' => $from, 'date' => $this->clock->date($pass->until)]);
    }

    /** @return list<string> labels that conditions on the path to an item ask for */
    public function labelsOnPath(int $item): array
    {
        $labels = [];
        foreach ($this->outline->path[$item] as $step) {
            $only = $this->outline->items[$step]->only;
            foreach ($only === null ? [] : ConditionLeaves::of($only) as $leaf) {
                if ($leaf instanceof HasLabel) {
                    $labels[] = $leaf->label;
                }
            }
        }

        return array_values(array_unique($labels));
    }
}
