<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** One pass of one holder, with its dates worked out. */
final class PassMasks
{
    /** @var list<int> by release step */
    public readonly array $releaseAt;

    /** @var list<int> by closing step */
    public readonly array $closingAt;

    /** @var ?list<array{int, string}> what is released from each instant on, ascending */
    private ?array $released = null;

    private int $progressStretch = -1;

    private ?Progress $progress = null;

    /** @param  array<int, true>  $done */
    public function __construct(
        private readonly CompiledCourse $course,
        public readonly Pass $pass,
        public readonly Profile $profile,
        private readonly array $done,
        private readonly string $doneMask,
    ) {
        $start = max($pass->pacingStart(), $course->prepared->course->opens ?? PHP_INT_MIN);
        $this->releaseAt = $profile->releaseInstants($start);
        $this->closingAt = $profile->closingInstants($this->releaseAt, $pass->from);
    }

    public function isActive(int $at): bool
    {
        return $this->pass->state === PassState::Active && $this->pass->from <= $at && $at < $this->pass->until;
    }

    /**
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int> in no order
     */
    public function instants(bool $shutting): array
    {
        return $shutting ? [$this->pass->until, ...$this->closingAt] : [$this->pass->from, $this->pass->until, ...$this->releaseAt, ...$this->closingAt];
    }

    public function released(int $at): string
    {
        $this->released ??= $this->inOrder();
        $released = $this->course->none;
        foreach ($this->released as [$instant, $mask]) {
            if ($instant > $at) {
                break;
            }
            $released = $mask;
        }

        return $released;
    }

    /** @return list<array{int, string}> */
    private function inOrder(): array
    {
        $instants = $this->releaseAt;
        asort($instants);
        $inOrder = [];
        $mask = $this->course->none;
        foreach ($instants as $step => $instant) {
            if ($instant === Instant::NEVER) {
                break;
            }
            $mask |= $this->profile->releases[$step];
            $inOrder[] = [$instant, $mask];
        }

        return $inOrder;
    }

    public function closed(int $at): string
    {
        $closed = $this->course->none;
        foreach ($this->closingAt as $step => $instant) {
            if ($instant <= $at) {
                $closed |= $this->profile->closes[$step];
            }
        }

        return $closed;
    }

    /** What passes scope, tier, audience, release and closing. */
    public function timely(int $at, ViewerKind $kind): string
    {
        return $this->profile->covered & $this->audience($at, $kind) & $this->released($at) & ($this->closed($at) ^ $this->course->all);
    }

    public function audience(int $at, ViewerKind $kind): string
    {
        return $this->course->audience($kind, $this->profile->offer, $this->profile->labels, $this->done, $at);
    }

    public function progress(int $at): Progress
    {
        $stretch = $this->course->stretch($at);
        if ($this->progress === null || $stretch !== $this->progressStretch) {
            $this->progressStretch = $stretch;
            $this->progress = new Progress($this->course, $this->eligible($at), $this->doneMask);
        }

        return $this->progress;
    }

    public function eligible(int $at): string
    {
        return $this->profile->covered & $this->course->published & $this->course->notBoards
            & $this->course->possible($this->profile->offer, $this->profile->labels, $this->done, $at);
    }

    /** What time alone will have released, and not closed at once, at or after an instant. */
    public function willOpen(int $at): string
    {
        $will = $this->course->none;
        foreach ($this->releaseAt as $step => $release) {
            if ($release !== Instant::NEVER) {
                $will |= $this->profile->releases[$step];
            }
        }
        foreach ($this->closingAt as $closing => $instant) {
            if ($instant === Instant::NEVER) {
                continue;
            }
            foreach ($this->releaseAt as $step => $release) {
                if ($instant <= $at || $instant <= $release) {
                    $will &= ($this->profile->closes[$closing] & $this->profile->releases[$step]) ^ $this->course->all;
                }
            }
        }

        return $will;
    }
}
