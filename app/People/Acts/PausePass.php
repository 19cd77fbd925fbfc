<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\PassRows;

/** Shuts a pass for a while; the clock of its days goes on meanwhile, or stops. */
final readonly class PausePass extends PassAct
{
    public function __construct(PassRows $passes, SchoolClock $clock, private bool $clockStops)
    {
        parent::__construct($passes, $clock);
    }

    public function name(): string
    {
        return 'pass.paused';
    }

    public function told(): string
    {
        return 'Pause a pass, its days '.($this->clockStops ? 'standing still' : 'going on');
    }

    protected function step(Pass $pass): ActStep
    {
        return match (true) {
            $pass->state === 'paused' => self::left($pass, 'are paused already'),
            $pass->state === 'revoked' => self::left($pass, 'were withdrawn from it'),
            $pass->ends_at !== null && $pass->ends_at->getTimestamp() <= $this->clock->now() => self::left($pass, 'have had it: it has ended'),
            default => self::changed($pass, 'are shut out until it is taken up again', ['state' => 'paused', 'paused_at' => self::stored($this->clock->now()), 'clock_stops' => $this->clockStops]),
        };
    }
}
