<?php

declare(strict_types=1);

/* What the loop by hand over a random shape reads. */

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\ClosesAfterOpening;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\HasTier;
use SilentKeep\Core\Rules\IsDone;

/** A shape as plain arrays, by position in reading order. */
final class ShapeTable
{
    /** @var array<string, int> */
    public array $position = [];

    /** @var list<int> bits of tiers and labels, by which somebody is let in who has one of them; 0: everybody */
    public array $either = [];

    /** @var list<int> bits, by which somebody is kept out */
    public array $bars = [];

    /** @var list<int> bits of the tiers that it is for */
    public array $tiers = [];

    /** @var list<int> what lets somebody in too who has done it; -1: nothing */
    public array $orDone = [];

    /** @var list<int> the instant from which its condition holds */
    public array $since = [];

    /** @var list<list<int>> */
    public array $after = [];

    /** @var list<?int> how many of them are needed; null: all */
    public array $atLeast = [];

    /** @var list<bool> whether it stands in an order */
    public array $inTurn = [];

    /** @var list<int> */
    public array $above = [];

    /** @var list<bool> */
    public array $isModule = [];

    /** @var list<string> */
    public array $letter = [];

    /** @var list<int> */
    public array $samples = [];

    public bool $waits = false;

    /** @var array<int, int> modules that can come out hidden, the innermost first: where each ends */
    public array $hiding = [];

    /** Seconds from the foot to each release, by the weekday of the beginning; the foot is the beginning, the midnight before it, or the first of all days. @var list<list<int>> */
    public array $offset = [];

    /** @var list<int> seconds from its release until it closes; 0: never */
    public array $closes = [];

    public bool $everCloses = false;

    public function __construct(Plan $plan)
    {
        $outline = $plan->courses['c']->outline;
        $this->position = $outline->positions;
        foreach ($outline->items as $at => $item) {
            $this->isModule[] = $item->kind === Kind::Module;
            $this->above[] = $outline->parent[$at];
            $this->letter[] = $item->hideWhenClosed ? 'h' : 'l';
            if ($item->sample) {
                $this->samples[] = $at;
            }
            $this->tiers[] = $item->tiers === null ? 7 : (int) array_sum(array_map(self::tierBit(...), $item->tiers));
            $this->after[] = $item->after->items ?? [];
            $this->atLeast[] = $item->after === null || $item->after->areAll() ? null : $item->after->required(1);
            $this->inTurn[] = $outline->parent[$at] >= 0 && $outline->items[$outline->parent[$at]]->inOrder;
            $this->waits = $this->waits || $item->after !== null || $this->inTurn[$at];
            $this->condition($item->only);
            if ($item->items !== [] && ($item->hideWhenClosed || isset($this->hiding[$outline->parent[$at]]))) {
                $this->hiding = [$at => $outline->end[$at]] + $this->hiding;
            }
        }
        $this->dates($plan);
    }

    private function dates(Plan $plan): void
    {
        $entries = $plan->courses['c']->mainPlan->entries;
        $depth = $plan->courses['c']->outline->depth;
        $last = [];
        foreach ($this->above as $at => $above) {
            $opens = ($entries[$at] ?? null)?->opens;
            $delay = $opens?->delay();
            $closes = ($entries[$at] ?? null)?->closes;
            $this->closes[] = $closes instanceof ClosesAfterOpening ? $closes->days * 86400 : 0;
            $this->everCloses = $this->everCloses || $closes !== null;
            for ($weekday = 0; $weekday < 7; $weekday++) {
                $from = $opens?->countsFromPrevious() ? intdiv($this->offset[$weekday][$last[$depth[$at]] ?? -1] ?? 0, 86400) : 0;
                $days = $from + ($delay->days ?? 0);
                $ahead = $delay?->weekday === null ? 0 : (($delay->weekday - 1 - $weekday - $days) % 7 + 7) % 7;
                $own = $opens?->dated() === null ? ($days + $ahead) * 86400 + ($delay->time ?? 0) : $plan->zone->wallAt($opens->dated());
                $this->offset[$weekday][] = max($this->offset[$weekday][$above] ?? 0, $opens === null ? 0 : $own);
            }
            $last[$depth[$at]] = $at;
        }
    }

    private function condition(?Condition $only): void
    {
        $either = $bars = 0;
        $orDone = -1;
        $since = PHP_INT_MIN;
        foreach ($only === null ? [] : ConditionLeaves::of($only) as $leaf) {
            match (true) {
                $leaf instanceof HasLabel && ($only instanceof HasLabel || $only instanceof AnyOf) => $either |= self::labelBit($leaf->label),
                $leaf instanceof HasLabel => $bars |= self::labelBit($leaf->label),
                $leaf instanceof HasTier => $either |= self::tierBit($leaf->tier),
                $leaf instanceof IsDone => $orDone = $leaf->item,
                $leaf instanceof FromInstant => $since = $leaf->at,
                default => throw new LogicException('A shape has a condition that its loop does not know.'),
            };
        }
        $this->either[] = $either;
        $this->bars[] = $bars;
        $this->orDone[] = $orDone;
        $this->since[] = $since;
    }

    public static function tierBit(string $tier): int
    {
        return 1 << (int) array_search($tier, DEEP_TIERS, true);
    }

    public static function labelBit(string $label): int
    {
        return 4 << (int) substr($label, 6);
    }
}
