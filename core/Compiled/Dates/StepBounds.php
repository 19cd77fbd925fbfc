<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Time\Instant;

/**
 * Between which instants the steps of a release plan come for certain, whenever a pass begins: most often that tells what has come
 * without any date. A day is allowed for a clock change, one for another time of day, a week where a weekday is waited for.
 *
 * @phpstan-import-type Rule from Steps
 */
final readonly class StepBounds
{
    /** More than any school lasts, in seconds. */
    private const FOR_GOOD = 1 << 40;

    /** @var list<bool> of each release step: whether it never comes */
    public array $never;

    /** Every step has come so many seconds after the beginning, or after the latest date of the plan if that is later. */
    private int $span;

    private int $latestDate;

    /** Nothing closes by a relative rule within so many seconds after the beginning. */
    private int $noneClosed;

    private int $earliestClosingDate;

    /**
     * @param  list<Rule>  $rules  of all steps but the first, each after what it counts from
     * @param  list<array{Closing, int, int}>  $closings
     */
    public function __construct(array $rules, array $closings)
    {
        $never = [false];
        $span = $least = [0];
        $latest = PHP_INT_MIN;
        $unbounded = false;
        foreach ($rules as [$step, $above, $base, $date, $days, , $weekday]) {
            // Of a rule of another kind nothing is known beforehand.
            $unbounded = $unbounded || $date instanceof Opening;
            $never[$step] = $never[$above] || $date === Instant::NEVER;
            $span[$step] = max($span[$above], $date === null ? $span[$base] + (2 + $days + ($weekday === null ? 0 : 7)) * 86400 : 0);
            $least[$step] = max($least[$above], $date === null ? $least[$base] + ($days - 2) * 86400 : 0);
            $latest = is_int($date) && $date !== Instant::NEVER ? max($latest, $date) : $latest;
        }
        ksort($never);
        $this->never = array_values($never);
        $this->span = $unbounded ? self::FOR_GOOD : max($span);
        $this->latestDate = $latest;
        $noneClosed = $earliestDate = PHP_INT_MAX;
        foreach ($closings as [$rule, $release]) {
            if ($rule instanceof ClosesOn) {
                $earliestDate = min($earliestDate, $rule->at);
            } else {
                $noneClosed = min($noneClosed, $least[$release] + ($rule->days - 2) * 86400);
            }
        }
        $this->noneClosed = $unbounded ? PHP_INT_MIN : $noneClosed;
        $this->earliestClosingDate = $earliestDate;
    }

    /** Whether all steps that ever come have come. */
    public function haveAllCome(int $start, int $at): bool
    {
        return $at - $this->span > $start && $at - $this->span > $this->latestDate;
    }

    /** Whether anything can have closed. */
    public function mayHaveClosed(int $start, int $at): bool
    {
        return $at >= $this->earliestClosingDate || $at - $start >= $this->noneClosed;
    }
}
