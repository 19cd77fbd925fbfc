<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\PassState;

/** Reasons for a whole course at once: a byte an item whose bits are the failing gates, read off at the end. */
final class Why
{
    private const BITS = [
        1 => Reason::NotInPass, 2 => Reason::Tier, 4 => Reason::NotForYou, 16 => Reason::Held,
        8 => Reason::NotYet, 32 => Reason::Closed, 64 => Reason::Progress, 128 => Reason::Stuck,
    ];

    /** @var array<array-key, list<Reason>> by the byte of bits */
    private static array $lists = [];

    private function __construct()
    {
    }

    /** @return list<Reason> */
    private static function listed(string $byte): array
    {
        $list = [];
        foreach (self::BITS as $bit => $reason) {
            if ((ord($byte) & $bit) !== 0) {
                $list[] = $reason;
            }
        }

        return self::$lists[$byte] = $list;
    }

    /**
     * @param  string  $open  what needs no reason
     * @return list<list<Reason>> by position in reading order
     */
    public static function of(ViewerMasks $viewer, int $at, string $open): array
    {
        $course = $viewer->course;
        $gate = $viewer->gate($at);
        $asked = $open ^ $course->all;
        if ($gate === null && $viewer->holdsActivePass($at)) {
            // What is open fails by no gate that matters; what is a draft only by being one.
            $bits = self::nearestPass($viewer, $at, $open) & Mask::as($asked, 255);

            return self::withDrafts(self::spelledOut($bits), $asked & ($course->published ^ $course->all));
        }
        if ($gate !== null) {
            $why = array_fill(0, $course->count, [$gate]);
        } else {
            $why = self::withDrafts(self::withoutPass($viewer, $at), $course->published ^ $course->all);
        }
        for ($item = strpos($open, Mask::IN); $item !== false; $item = strpos($open, Mask::IN, $item + 1)) {
            $why[$item] = [];
        }

        return $why;
    }

    /**
     * @param  list<list<Reason>>  $why
     * @return list<list<Reason>>
     */
    private static function withDrafts(array $why, string $drafts): array
    {
        for ($item = strpos($drafts, Mask::IN); $item !== false; $item = strpos($drafts, Mask::IN, $item + 1)) {
            $why[$item] = [Reason::Draft];
        }

        return $why;
    }

    /** @return list<list<Reason>> */
    private static function spelledOut(string $bits): array
    {
        $why = [];
        foreach (str_split($bits) as $byte) {
            $why[] = self::$lists[$byte] ?? self::listed($byte);
        }

        return $why;
    }

    /** @return list<list<Reason>> as if nothing were open and nothing a draft */
    private static function withoutPass(ViewerMasks $viewer, int $at): array
    {
        $course = $viewer->course;
        if ($viewer->observed !== null) {
            return self::observing($viewer, $viewer->observed, $at);
        }
        if ($viewer->passes !== []) {
            return array_fill(0, $course->count, [self::lapsedPassReason($viewer, $at)]);
        }
        if ($viewer->viewer->guest) {
            return $course->guestDoorOpen()
                ? self::except(
                    self::spelledOut(self::atDoor($viewer, ViewerKind::Guest, $at, $course->guestTiers, $course->mainPlan()->barsGuests)),
                    $course->guestsAdmitted, Reason::GuestsNotHere,
                )
                : array_fill(0, $course->count, [Reason::GuestsShut]);
        }
        if ($course->prepared->course->entry === Entry::Anyone) {
            return self::spelledOut(self::atDoor($viewer, $viewer->anyoneKind(), $at, $course->withoutTiers, $course->none));
        }

        if ($viewer->viewer->signedIn) {
            return array_fill(0, $course->count, [Reason::NoPass]);
        }
        $wantsAnAccount = $course->prepared->course->sampleNeedsAccount ? $viewer->samples(signedIn: true, at: $at) : $course->none;

        return self::except(array_fill(0, $course->count, [Reason::NotSignedIn]), $wantsAnAccount ^ $course->all, Reason::SampleNeedsAccount);
    }

    /**
     * @param  list<list<Reason>>  $why
     * @param  string  $where  it stays as it is
     * @return list<list<Reason>>
     */
    private static function except(array $why, string $where, Reason $otherwise): array
    {
        foreach (array_keys($why) as $item) {
            if ($where[$item] === Mask::OUT) {
                $why[$item] = [$otherwise];
            }
        }

        return $why;
    }

    /** @return list<list<Reason>> */
    private static function observing(ViewerMasks $viewer, ViewerMasks $learner, int $at): array
    {
        $course = $viewer->course;
        $door = $course->prepared->course->observerDoor;
        if (! $door->open) {
            return array_fill(0, $course->count, [Reason::ObserversShut]);
        }
        if (! $door->follow) {
            $bits = self::atDoor($viewer, ViewerKind::Observer, $at, $course->observerTiers, $course->mainPlan()->barsObservers);

            return self::except(self::spelledOut($bits), $course->observersAdmitted, Reason::ObserversNotHere);
        }
        $openToLearner = $learner->byOwnRoutes($at, null);
        $why = array_map(
            static fn (array $learners): array => [Reason::LearnerCannot, ...$learners],
            self::of($learner, $at, $learner->open($at)[0]),
        );

        return self::except(self::except($why, $openToLearner ^ $course->all, Reason::NotForYou), $course->observersAdmitted, Reason::ObserversNotHere);
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
        /** @var array<int, PassMasks> $holder whose bits those are, by item */
        $holder = [];
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
        $stuck = $failing !== $course->none ? $progress->stuck(($pass->willOpen($at) | self::underGrant($viewer, $at)) & $course->lessonsAndParts) : $course->none;

        $bits = $pass->profile->failingAlways | Mask::as(($pass->released($at) | $pass->profile->held) ^ $all, 8);
        if (! $course->unconditional) {
            $bits |= Mask::as($pass->audience($at, ViewerKind::Learner) ^ $all, 4);
        }
        $closed = $pass->closed($at);
        if ($closed !== $course->none) {
            $bits |= Mask::as($closed, 32);
        }
        if ($failing !== $course->none) {
            $bits |= Mask::as($failing & ($stuck ^ $all), 64) | Mask::as($stuck, 128);
        }

        return $bits;
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

    private static function lapsedPassReason(ViewerMasks $viewer, int $at): Reason
    {
        $latest = null;
        foreach ($viewer->passes as $pass) {
            $latest = $latest === null || $pass->pass->from > $latest->from ? $pass->pass : $latest;
        }

        return match (true) {
            $latest === null => Reason::NoPass,
            $latest->state === PassState::Revoked => Reason::PassRevoked,
            $latest->state === PassState::Paused => Reason::PassPaused,
            $at >= $latest->until => Reason::PassEnded,
            default => Reason::PassNotStarted,
        };
    }
}
