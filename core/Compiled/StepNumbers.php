<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\PreviousItems;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\AtOnce;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Rules\Delay;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/** Numbers the steps of an offer's release plan in reading order: one for all items that have the same rule and count from the same. */
final class StepNumbers
{
    /** @var list<int> the release step of each item */
    public array $releaseStep = [];

    /** @var list<int> the closing step of each item */
    public array $closingStep = [];

    /** @var array<int, array{int, int, ?int, ?Delay}> by release step: that of what it stands in, the one from which it counts, its date or how long after */
    private array $openings = [];

    /** @var array<string, int> release step by what tells it */
    private array $known = [];

    /** @var list<array{Closing, int, int}> */
    private array $closings = [];

    /** @var array<string, int> closing step by what tells it */
    private array $knownClosings = [];

    /** @var list<bool> of each release step: whether it never comes */
    private array $never = [false];

    public readonly Steps $steps;

    public function __construct(CourseMasks $course, Offer $offer, string $covered)
    {
        $previous = $course->prepared->previousItems($offer);
        foreach ($course->outline->items as $at => $item) {
            $above = $course->outline->parent[$at];
            $this->releaseStep[] = $this->release($at, $offer, $above === Outline::TOP ? 0 : $this->releaseStep[$above], $previous);
            $this->closingStep[] = $this->closing($at, $offer, $above === Outline::TOP ? 0 : $this->closingStep[$above]);
            if ($item->kind !== Kind::Board && ! $course->outline->draftOnPath[$at] && $covered[$at] === Mask::IN && ! $this->never[$this->releaseStep[$at]]) {
                $previous->add($at);
            }
        }
        $this->steps = $this->inOrder($course);
    }

    private function release(int $at, Offer $offer, int $above, PreviousItems $previous): int
    {
        $rule = $offer->plan?->opening($at) ?? new AtOnce;
        if ($rule instanceof AtOnce) {
            return $above;
        }
        $before = $rule->countsFromPrevious() ? $previous->of($at) : null;
        $base = $before === null ? 0 : $this->releaseStep[$before];
        $date = $rule->dated();
        $delay = $rule->delay();
        $told = implode(',', $date === null ? [$above, $base, $delay?->days, $delay?->time, $delay?->weekday] : [$above, 'on', $date]);
        if (! isset($this->known[$told])) {
            $this->known[$told] = count($this->never);
            $this->openings[count($this->never)] = [$above, $base, $date, $delay];
            $this->never[] = $this->never[$above] || $date === Instant::NEVER;
        }

        return $this->known[$told];
    }

    private function closing(int $at, Offer $offer, int $above): int
    {
        $rule = $offer->plan?->closing($at);
        if ($rule === null) {
            return $above;
        }
        $release = $this->releaseStep[$at];
        $told = implode(',', $rule instanceof ClosesOn ? ['on', $rule->at, $above] : [serialize($rule), $release, $above]);
        if (! isset($this->knownClosings[$told])) {
            $this->closings[] = [$rule, $release, $above];
            $this->knownClosings[$told] = count($this->closings);
        }

        return $this->knownClosings[$told];
    }

    /** The plain steps first, by their days, then the others as they come. */
    private function inOrder(CourseMasks $course): Steps
    {
        $plain = [];
        foreach ($this->openings as $step => [$above, $base, $date, $delay]) {
            if ($above === 0 && $base === 0 && $date === null && $delay !== null && $delay->time === null && $delay->weekday === null) {
                $plain[$step] = $delay->days * 86400;
            }
        }
        asort($plain);
        $others = array_diff_key($this->openings, $plain);
        $renumbered = array_flip([0, ...array_keys($plain), ...array_keys($others)]);
        $this->releaseStep = array_map(static fn (int $step): int => $renumbered[$step], $this->releaseStep);

        return new Steps(
            $course->prepared->plan->zone,
            array_values($plain),
            array_map(static fn (array $of): array => [$renumbered[$of[0]], $renumbered[$of[1]], $of[2], $of[3]->days ?? 0, $of[3]?->time, $of[3]?->weekday], array_values($others)),
            array_map(static fn (array $of): array => [$of[0], $renumbered[$of[1]], $of[2]], $this->closings),
        );
    }
}
