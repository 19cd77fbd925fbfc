<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

use SilentKeep\Core\Time\Instant;

/** One person's entry to one course by one offer, in `[from, until)`. */
final readonly class Pass
{
    /** @param  ?int  $pacedFrom  the instant from which its pacing counts; null: its `from` */
    public function __construct(
        public string $offer,
        public int $from,
        public int $until = Instant::NEVER,
        public PassState $state = PassState::Active,
        public ?int $pacedFrom = null,
    ) {
    }

    public function isActive(int $at): bool
    {
        return $this->state === PassState::Active && $this->from <= $at && $at < $this->until;
    }

    public function pacingStart(): int
    {
        return $this->pacedFrom ?? $this->from;
    }
}
