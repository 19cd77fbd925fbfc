<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\PreviousItems;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\AtOnce;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/**
 * What all holders of an offer have in common: what it covers, and the steps in which
 * it is released and closed. Items of one step always share a date, so that a pass needs only as many dates
 * as its plan has rules.
 */
final class Profile
{
    public readonly string $inScope;

    public readonly string $inTier;

    public readonly string $covered;

    /** The failing gates that depend on neither time nor work, as {@see Why} has them: scope 1, tier 2, never released 16. */
    public readonly string $failingAlways;

    /** Released never, whenever the pass begins. */
    public readonly string $held;

    /** @var list<int> the release step of each item; step 0 is the beginning */
    public readonly array $releaseStep;

    /** @var list<string> what each release step releases */
    public readonly array $releases;

    /** @var list<list<int>> the same as positions, in reading order */
    public readonly array $released;

    /** @var list<int> the closing step of each item; step 0 never closes */
    public readonly array $closingStep;

    /** @var list<string> */
    public readonly array $closes;

    /** The release steps as a byte an item; empty where there are more steps than bytes. */
    private readonly string $releaseBytes;

    private readonly string $stepBytes;

    /** @var array<int, array{Opening, int, int, int, ?int}> by step: the rule, the step of what the item stands in, the step from which it counts, and of plain relative rules the days (else -1) and the time of day */
    private array $openings = [];

    /** @var array<int, array{Closing, int, int}> by step: the rule, the release step, the closing step of what the item stands in */
    private array $closings = [];

    public function __construct(private readonly CourseMasks $course, public readonly Offer $offer)
    {
        $coverage = $course->prepared->coverage($offer);
        $this->inScope = Mask::of($coverage->inScope);
        $this->inTier = Mask::of($coverage->inTier);
        $this->covered = $this->inScope & $this->inTier;
        [$this->releaseStep, $this->closingStep, $never] = $this->steps($course->prepared->previousItems($offer));
        $this->releases = self::members($this->releaseStep, count($never));
        $released = array_fill(0, count($never), []);
        foreach ($this->releaseStep as $at => $step) {
            $released[$step][] = $at;
        }
        $this->released = $released;
        $this->closes = self::members($this->closingStep, count($this->closings) + 1);
        $this->stepBytes = implode('', array_map(chr(...), range(0, min(255, count($never) - 1))));
        $this->releaseBytes = count($never) > 256 ? '' : implode('', array_map(chr(...), $this->releaseStep));
        $held = $this->course->none;
        foreach ($never as $step => $isNever) {
            $held = $isNever ? $held | $this->releases[$step] : $held;
        }
        $this->held = $held;
        $this->failingAlways = Mask::as($this->inScope ^ $this->course->all, 1) | Mask::as($this->inTier ^ $this->course->all, 2) | Mask::as($held, 16);
    }

    /**
     * Numbers the steps in reading order and notes the rule of each.
     *
     * @return array{list<int>, list<int>, list<bool>} the release step and the closing step of each item, and of each release step whether it never comes
     */
    private function steps(PreviousItems $previous): array
    {
        $outline = $this->course->outline;
        /** @var list<int> $releaseStep */
        $releaseStep = [];
        /** @var list<int> $closingStep */
        $closingStep = [];
        $never = [false];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $inherited = $above === Outline::TOP ? 0 : $releaseStep[$above];
            $rule = $this->offer->plan?->opening($at) ?? new AtOnce;
            $releaseStep[] = $rule instanceof AtOnce ? $inherited : count($never);
            if (! $rule instanceof AtOnce) {
                $before = $rule->countsFromPrevious() ? $previous->of($at) : null;
                $this->openings[count($never)] = [$rule, $inherited, $before === null ? 0 : $releaseStep[$before], ...self::plainDelay($rule)];
                $never[] = $never[$inherited] || $rule->dated() === Instant::NEVER;
            }
            $closing = $this->offer->plan?->closing($at);
            $closingAbove = $above === Outline::TOP ? 0 : $closingStep[$above];
            $closingStep[] = $closing === null ? $closingAbove : count($this->closings) + 1;
            if ($closing !== null) {
                $this->closings[count($this->closings) + 1] = [$closing, $releaseStep[$at], $closingAbove];
            }
            if ($item->kind !== Kind::Board && ! $outline->draftOnPath[$at] && $this->covered[$at] === Mask::IN && ! $never[$releaseStep[$at]]) {
                $previous->add($at);
            }
        }

        return [$releaseStep, $closingStep, $never];
    }

    /**
     * @param  list<int>  $stepOf
     * @return list<string>
     */
    private static function members(array $stepOf, int $steps): array
    {
        $members = [];
        for ($step = 0; $step < $steps; $step++) {
            $members[] = Mask::of(array_map(static fn (int $of): bool => $of === $step, $stepOf));
        }

        return $members;
    }

    /** @return array{int, ?int} the days and the time of day of a relative rule without a weekday; days of -1 otherwise */
    private static function plainDelay(Opening $rule): array
    {
        $delay = $rule->delay();

        return $delay !== null && $delay->weekday === null ? [$delay->days, $delay->time] : [-1, null];
    }

    /**
     * @param  int  $start  the instant from which the pass is paced, not before the course opens
     * @return list<int> the instant of each release step
     */
    public function releaseInstants(int $start): array
    {
        $zone = $this->course->prepared->plan->zone;
        $instants = [$start];
        $walls = [0 => $this->openings === [] ? 0 : $zone->wallAt($start)];
        foreach ($this->openings as [$rule, $above, $from, $days, $time]) {
            if ($days >= 0) {
                // As SchoolZone::plusDays(), with the wall clock of what it counts from worked out only once.
                $wall = $walls[$from] ??= $zone->wallAt($instants[$from]);
                $ownTime = $wall % 86400;
                $own = $zone->instantOfWall($wall + $days * 86400 + ($time === null ? 0 : $time - ($ownTime < 0 ? $ownTime + 86400 : $ownTime)));
            } else {
                $own = $rule->instant($start, $instants[$from], $zone);
            }
            $instants[] = $own > $instants[$above] ? $own : $instants[$above];
        }

        return $instants;
    }

    /**
     * What of the outline has been released.
     *
     * @param  list<int>  $instants  of each release step
     */
    public function released(array $instants, int $at): string
    {
        $flags = '';
        foreach ($instants as $instant) {
            $flags .= $instant <= $at ? Mask::IN : Mask::OUT;
        }

        return $this->ofSteps($flags);
    }

    /** @param  string  $flags  a byte a release step: whether its items are wanted */
    public function ofSteps(string $flags): string
    {
        if ($this->releaseBytes !== '') {
            return strtr($this->releaseBytes, $this->stepBytes, $flags);
        }
        $items = $this->course->none;
        for ($step = strpos($flags, Mask::IN); $step !== false; $step = strpos($flags, Mask::IN, $step + 1)) {
            $items |= $this->releases[$step];
        }

        return $items;
    }

    /**
     * @param  list<int>  $releases
     * @return list<int> the instant of each closing step
     */
    public function closingInstants(array $releases, int $from): array
    {
        $zone = $this->course->prepared->plan->zone;
        $instants = [Instant::NEVER];
        foreach ($this->closings as [$rule, $release, $above]) {
            $own = $rule instanceof ClosesOn ? $rule->at : $rule->instant(max($releases[$release], $from), $zone);
            $instants[] = min($own, $instants[$above]);
        }

        return $instants;
    }
}
