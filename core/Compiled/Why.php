<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;

/** Reasons for a whole course at once: a byte an item whose bits are the failing gates, read off at the end. */
final class Why
{
    private const BITS = [
        1 => Reason::NotInPass, 2 => Reason::Tier, 4 => Reason::NotForYou, 16 => Reason::Held,
        8 => Reason::NotYet, 32 => Reason::Closed, 64 => Reason::Progress, 128 => Reason::Stuck,
    ];

    /** @var array<int, list<Reason>> by bits */
    private static array $lists = [];

    private function __construct()
    {
    }

    /** @return list<Reason> */
    private static function listed(int $bits): array
    {
        if (! isset(self::$lists[$bits])) {
            $list = [];
            foreach (self::BITS as $bit => $reason) {
                if (($bits & $bit) !== 0) {
                    $list[] = $reason;
                }
            }
            self::$lists[$bits] = $list;
        }

        return self::$lists[$bits];
    }

    /**
     * @param  string  $open  what needs no reason
     * @return list<list<Reason>> by position in reading order
     */
    public static function of(ViewerMasks $viewer, int $at, string $open): array
    {
        $course = $viewer->course;
        $gate = $viewer->gate($at);
        if ($gate !== null) {
            return self::laidOut($open, static fn (): array => [$gate]);
        }
        $ofClosed = self::beyondTheGate($viewer, $at, $open);

        return self::laidOut($open, static fn (int $item): array => $course->published[$item] === Mask::OUT ? [Reason::Draft] : $ofClosed($item));
    }

    /**
     * @param  \Closure(int): list<Reason>  $ofClosed
     * @return list<list<Reason>>
     */
    private static function laidOut(string $open, \Closure $ofClosed): array
    {
        $why = [];
        for ($item = 0, $count = strlen($open); $item < $count; $item++) {
            $why[] = $open[$item] === Mask::IN ? [] : $ofClosed($item);
        }

        return $why;
    }

    /** @return \Closure(int): list<Reason> */
    private static function beyondTheGate(ViewerMasks $viewer, int $at, string $open): \Closure
    {
        if ($viewer->holdsActivePass($at)) {
            $bits = self::nearestPass($viewer, $at, $open);

            return static fn (int $item): array => self::listed(ord($bits[$item]));
        }
        if ($viewer->observed !== null) {
            return self::observing($viewer, $viewer->observed, $at);
        }
        if ($viewer->passes !== []) {
            $reason = $viewer->lapsedPassReason($at);

            return static fn (): array => [$reason];
        }
        if ($viewer->viewer->guest) {
            $bits = self::atDoor($viewer, ViewerKind::Guest, $at, $viewer->course->guestTiers, $viewer->course->mainPlan()->barsGuests);

            return static fn (int $item): array => match (true) {
                ! $viewer->guestDoorOpen() => [Reason::GuestsShut],
                $viewer->course->guestsAdmitted[$item] === Mask::OUT => [Reason::GuestsNotHere],
                default => self::listed(ord($bits[$item])),
            };
        }
        if ($viewer->course->prepared->course->entry === Entry::Anyone) {
            $bits = self::atDoor($viewer, $viewer->anyoneKind(), $at, $viewer->course->withoutTiers, $viewer->course->none);

            return static fn (int $item): array => self::listed(ord($bits[$item]));
        }
        $otherwise = [$viewer->viewer->signedIn ? Reason::NoPass : Reason::NotSignedIn];

        return static fn (int $item): array => $viewer->course->samples[$item] === Mask::IN ? [Reason::SampleNeedsAccount] : $otherwise;
    }

    /** @return \Closure(int): list<Reason> */
    private static function observing(ViewerMasks $viewer, ViewerMasks $learner, int $at): \Closure
    {
        $course = $viewer->course;
        $door = $course->prepared->course->observerDoor;
        if (! $door->open) {
            return static fn (): array => [Reason::ObserversShut];
        }
        if (! $door->follow) {
            $bits = self::atDoor($viewer, ViewerKind::Observer, $at, $course->observerTiers, $course->mainPlan()->barsObservers);

            return static fn (int $item): array => $course->observersAdmitted[$item] === Mask::OUT ? [Reason::ObserversNotHere] : self::listed(ord($bits[$item]));
        }
        $openToLearner = $learner->byOwnRoutes($at, null);
        $learnersWhy = self::of($learner, $at, $learner->open($at)[0]);

        return static fn (int $item): array => match (true) {
            $course->observersAdmitted[$item] === Mask::OUT => [Reason::ObserversNotHere],
            $openToLearner[$item] === Mask::IN => [Reason::NotForYou],
            default => [Reason::LearnerCannot, ...$learnersWhy[$item]],
        };
    }

    private static function atDoor(ViewerMasks $viewer, ViewerKind $kind, int $at, string $tiersAllow, string $bars): string
    {
        $course = $viewer->course;
        $plan = $course->mainPlan();

        return Mask::as($tiersAllow ^ $course->all, 2)
            | Mask::as($viewer->audience($kind, $at) ^ $course->all, 4)
            | Mask::as($plan->notYet($at, $bars), 8)
            | Mask::as($plan->held, 16)
            | Mask::as($plan->closed($at), 32);
    }

    /** The failing gates of the pass that comes nearest, item by item. */
    private static function nearestPass(ViewerMasks $viewer, int $at, string $open): string
    {
        $nearest = null;
        foreach ($viewer->passes as $pass) {
            if (! $pass->isActive($at)) {
                continue;
            }
            $bits = self::ofPass($viewer, $pass, $at);
            if ($nearest === null) {
                $nearest = $bits;
                $holder = array_fill(0, $viewer->course->count, $pass);

                continue;
            }
            for ($item = 0; $item < $viewer->course->count; $item++) {
                if ($open[$item] === Mask::OUT && self::rank($pass, $bits, $item) < self::rank($holder[$item], $nearest, $item)) {
                    $nearest[$item] = $bits[$item];
                    $holder[$item] = $pass;
                }
            }
        }

        return $nearest ?? $viewer->course->none;
    }

    /** @return array{int, int, int} only waiting for its date, then the fewest failing gates, then the earliest release */
    private static function rank(PassMasks $pass, string $bits, int $item): array
    {
        $failing = ord($bits[$item]);
        $count = 0;
        for ($rest = $failing; $rest > 0; $rest &= $rest - 1) {
            $count++;
        }

        return [$failing === 8 ? 0 : 1, $count, $pass->releaseAt[$pass->profile->releaseStep[$item]] ?? Instant::NEVER];
    }

    private static function ofPass(ViewerMasks $viewer, PassMasks $pass, int $at): string
    {
        $course = $viewer->course;
        $all = $course->all;
        $progress = $pass->progress($at);
        $failing = $progress->passes() ^ $all;
        $stuck = str_contains($failing, Mask::IN) ? $progress->stuck(($pass->willOpen($at) | self::underGrant($viewer, $at)) & $course->lessonsAndParts) : $course->none;

        return Mask::as($pass->profile->inScope ^ $all, 1)
            | Mask::as($pass->profile->inTier ^ $all, 2)
            | Mask::as($pass->audience($at, ViewerKind::Learner) ^ $all, 4)
            | Mask::as(($pass->released($at) | $pass->profile->held) ^ $all, 8)
            | Mask::as($pass->profile->held, 16)
            | Mask::as($pass->closed($at), 32)
            | Mask::as($failing & ($stuck ^ $all), 64)
            | Mask::as($stuck, 128);
    }

    /** Under a grant that has not ended, begun or not. */
    private static function underGrant(ViewerMasks $viewer, int $at): string
    {
        $under = $viewer->course->none;
        foreach ($viewer->grants as [$grant, $items]) {
            $under = $grant->until > $at ? $under | $items : $under;
        }

        return $under;
    }
}
