<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\PassState;

/**
 * Reasons for a whole course at once, a byte an item, told only when they are read: either the failing gates as bits, or one
 * reason alone. A gate of progress fails as one of two, never both, so that both of their bits mark what stands alone.
 */
final readonly class Why
{
    private const BITS = [
        1 => Reason::NotInPass, 2 => Reason::Tier, 4 => Reason::NotForYou, 16 => Reason::Held,
        8 => Reason::NotYet, 32 => Reason::Closed, 64 => Reason::Progress, 128 => Reason::Stuck,
    ];

    private const ALONE = 64 | 128;

    /**
     * @param  string  $bytes  of what needs no reason \x00
     * @param  string  $learnerCannot  mask of where it is the learner who cannot, so that theirs follow; '' nowhere
     */
    private function __construct(public string $bytes, public string $learnerCannot = '')
    {
    }

    /** @return list<Reason> */
    public function at(int $item): array
    {
        $reasons = self::told(ord($this->bytes[$item]));

        return $this->learnerCannot === '' || $this->learnerCannot[$item] === Mask::OUT ? $reasons : [Reason::LearnerCannot, ...$reasons];
    }

    /** @return list<list<Reason>> of every item */
    public function all(): array
    {
        $told = [];
        /** @var array<int, list<Reason>> $all */
        $all = [];
        foreach ($this->bytes === '' ? [] : str_split($this->bytes) as $byte) {
            $all[] = $told[$byte] ??= self::told(ord($byte));
        }
        for ($item = strpos($this->learnerCannot, Mask::IN); $item !== false; $item = strpos($this->learnerCannot, Mask::IN, $item + 1)) {
            $all[$item] = [Reason::LearnerCannot, ...$all[$item]];
        }

        return array_values($all);
    }

    /** @return list<Reason> */
    private static function told(int $byte): array
    {
        /** @var array<int, list<Reason>> $lists */
        static $lists = [0 => []];

        return $lists[$byte] ??= self::listed($byte);
    }

    /** @return list<Reason> */
    private static function listed(int $byte): array
    {
        if ($byte >= self::ALONE) {
            return [Reason::cases()[$byte - self::ALONE]];
        }
        $reasons = [];
        foreach (self::BITS as $bit => $reason) {
            if (($byte & $bit) !== 0) {
                $reasons[] = $reason;
            }
        }

        return $reasons;
    }

    /** The byte of one reason alone. */
    private static function alone(Reason $reason): int
    {
        return self::ALONE + (int) array_search($reason, Reason::cases(), true);
    }

    /** @param  string  $open  what needs no reason */
    public static function of(ViewerMasks $viewer, int $at, string $open): self
    {
        $course = $viewer->course;
        $gate = $viewer->gate($at);
        if ($gate === null && $viewer->byPassesOnly && count($viewer->passes) === 1 && $viewer->passes[0]->isActive($at)) {
            // What it opens fails by none of its gates.
            return new self(self::withDrafts($course, self::ofPass($viewer, $viewer->passes[0], $at)));
        }
        $asked = Mask::as($open ^ $course->all, 255);
        if ($gate !== null) {
            return new self(str_repeat(chr(self::alone($gate)), $course->count) & $asked);
        }
        if ($viewer->holdsActivePass($at)) {
            // What is open fails by no gate that matters; what is a draft only by being one.
            return new self(self::withDrafts($course, self::nearestPass($viewer, $at, $open)) & $asked);
        }
        $why = $viewer->observed === null ? new self(self::withoutPass($viewer, $at)) : self::observing($viewer, $viewer->observed, $at);

        return new self(
            self::withDrafts($course, $why->bytes) & $asked,
            $why->learnerCannot === '' ? '' : $why->learnerCannot & $course->published & ($open ^ $course->all),
        );
    }

    private static function withDrafts(CompiledCourse $course, string $bytes): string
    {
        return $course->hasDrafts ? self::except($course, $bytes, $course->published, Reason::Draft) : $bytes;
    }

    /** @return string as if nothing were open and nothing a draft */
    private static function withoutPass(ViewerMasks $viewer, int $at): string
    {
        $course = $viewer->course;
        if ($viewer->passes !== []) {
            return self::everywhere($course, self::lapsedPassReason($viewer, $at));
        }
        if ($viewer->viewer->guest) {
            return $course->guestDoorOpen()
                ? self::except($course, self::atDoor($viewer, ViewerKind::Guest, $at, $course->doors()->guestTiers, $course->doors()->barsGuests), $course->doors()->guestsAdmitted, Reason::GuestsNotHere)
                : self::everywhere($course, Reason::GuestsShut);
        }
        if ($course->prepared->course->entry === Entry::Anyone) {
            return self::atDoor($viewer, $viewer->anyoneKind(), $at, $course->withoutTiers, $course->none);
        }
        if ($viewer->viewer->signedIn) {
            return self::everywhere($course, Reason::NoPass);
        }
        $wantsAnAccount = $course->prepared->course->sampleNeedsAccount ? $viewer->samples(signedIn: true, at: $at) : $course->none;

        return self::except($course, self::everywhere($course, Reason::NotSignedIn), $wantsAnAccount ^ $course->all, Reason::SampleNeedsAccount);
    }

    private static function everywhere(CompiledCourse $course, Reason $reason): string
    {
        return str_repeat(chr(self::alone($reason)), $course->count);
    }

    /** @param  string  $where  it stays as it is */
    private static function except(CompiledCourse $course, string $bytes, string $where, Reason $otherwise): string
    {
        return ($bytes & Mask::as($where, 255)) | Mask::as($where ^ $course->all, self::alone($otherwise));
    }

    private static function observing(ViewerMasks $viewer, ViewerMasks $learner, int $at): self
    {
        $course = $viewer->course;
        $door = $course->prepared->course->observerDoor;
        if (! $door->open) {
            return new self(self::everywhere($course, Reason::ObserversShut));
        }
        if (! $door->follow) {
            $bits = self::atDoor($viewer, ViewerKind::Observer, $at, $course->doors()->observerTiers, $course->doors()->barsObservers);

            return new self(self::except($course, $bits, $course->doors()->observersAdmitted, Reason::ObserversNotHere));
        }
        $cannot = $learner->byOwnRoutes($at, null) ^ $course->all;
        $theirs = self::of($learner, $at, $learner->open($at)[0])->bytes;

        return new self(
            self::except($course, self::except($course, $theirs, $cannot, Reason::NotForYou), $course->doors()->observersAdmitted, Reason::ObserversNotHere),
            $cannot & $course->doors()->observersAdmitted,
        );
    }

    private static function atDoor(ViewerMasks $viewer, ViewerKind $kind, int $at, string $tiersAllow, string $bars): string
    {
        $course = $viewer->course;
        $plan = $course->mainPlan;

        return Mask::as($tiersAllow ^ $course->all, 2)
            | Mask::as($viewer->audience($kind, $at) ^ $course->all, 4)
            | Mask::as($plan->notYet($at, $bars), 8)
            | Mask::as($plan->held, 16)
            | Mask::as($plan->closed($at), 32);
    }

    /** The failing gates of the pass that comes nearest, item by item. */
    private static function nearestPass(ViewerMasks $viewer, int $at, string $open): string
    {
        $active = array_values(array_filter($viewer->passes, static fn (PassMasks $pass): bool => $pass->isActive($at)));
        $first = self::ofPass($viewer, $active[0], $at);
        if (! isset($active[1])) {
            return $first;
        }
        $all = [$first];
        $differing = $viewer->course->none;
        for ($next = 1, $count = count($active); $next < $count; $next++) {
            $all[] = $bits = self::ofPass($viewer, $active[$next], $at);
            $differing |= $bits ^ $first;
        }
        // Where all say the same, it does not matter whose bits they are.
        $compared = $differing & Mask::as($open ^ $viewer->course->all, 255);
        $releases = array_map(static fn (PassMasks $pass): array => $pass->releases(), $active);
        $steps = array_map(static fn (PassMasks $pass): array => $pass->pacing->releaseStep, $active);
        $ranks = self::ranks();
        $nearest = $first;
        for ($item = strspn($compared, Mask::OUT), $items = strlen($compared); $item < $items; $item += 1 + strspn($compared, Mask::OUT, $item + 1)) {
            $best = 0;
            $bestRank = $ranks[$first[$item]];
            for ($next = 1; $next < $count; $next++) {
                $rank = $ranks[$all[$next][$item]];
                if ($rank < $bestRank || ($rank === $bestRank && $releases[$next][$steps[$next][$item]] < $releases[$best][$steps[$best][$item]])) {
                    $best = $next;
                    $bestRank = $rank;
                }
            }
            $nearest[$item] = $all[$best][$item];
        }

        return $nearest;
    }

    /** @return array<array-key, int> by a byte of failing gates: only waiting for its date comes first, then the fewest */
    private static function ranks(): array
    {
        /** @var array<array-key, int> $ranks */
        static $ranks = [];
        for ($byte = count($ranks); $byte < 256; $byte++) {
            $ranks[chr($byte)] = $byte === 8 ? 0 : 1 + substr_count(decbin($byte), '1');
        }

        return $ranks;
    }

    private static function ofPass(ViewerMasks $viewer, PassMasks $pass, int $at): string
    {
        $more = $pass->willOpen($at);
        if ($viewer->grants !== []) {
            $more |= self::underGrant($viewer, $at) & $viewer->course->lessonsAndParts;
        }
        $bits = $pass->footing($at)->failing() | $pass->progress($at)->failing($more) | $pass->notYet($at);
        $closed = $pass->closed($at);

        return $closed === $viewer->course->none ? $bits : $bits | Mask::as($closed, 32);
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
