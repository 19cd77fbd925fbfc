<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\BearingLabels;
use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ViewerKind;

/** What is part of a sample for one viewer: each sample with what stands in it, as far as its condition holds. */
final class SampleParts
{
    private string $always;

    /** @var array<int, string> what samples with a condition consist of, by its number */
    private array $conditional = [];

    public function __construct(CourseMasks $course, private readonly Audiences $audiences)
    {
        $this->always = $course->none;
        /** @var list<?int> $sampleOf */
        $sampleOf = [];
        foreach ($course->outline->items as $at => $item) {
            $above = $course->outline->parent[$at];
            $inherits = $above !== Outline::TOP && $item->kind !== Kind::Board && $item->tiers === null && $item->only === null && $item->neverFor === [];
            $sampleOf[] = $sample = $item->sample ? $at : ($inherits ? $sampleOf[$above] : null);
            if ($sample === null) {
                continue;
            }
            $condition = $course->outline->items[$sample]->only;
            if ($condition === null) {
                $this->always[$at] = Mask::IN;
            } else {
                $number = $course->conditions->numberOf($condition);
                $this->conditional[$number] ??= $course->none;
                $this->conditional[$number][$at] = Mask::IN;
            }
        }
    }

    /** @param  string  $done  mask */
    public function for(bool $signedIn, BearingLabels $labels, string $done, int $at): string
    {
        $parts = $this->always;
        $tables = $this->audiences->holding($signedIn ? ViewerKind::Member : ViewerKind::Visitor, null);
        foreach ($this->conditional as $condition => $items) {
            if ($this->audiences->lets($condition, $tables, $labels, $done, $at)) {
                $parts |= $items;
            }
        }

        return $parts;
    }
}
