<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\Acts\ActStep;
use App\People\PassRows;
use App\Words\Say;

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
        return Say::text($this->clockStops ? 'acts.pause_pass.pause_still' : 'acts.pause_pass.pause_going_on');
    }

    protected function step(Pass $pass): ActStep
    {
        return match (true) {
            $pass->state === 'paused' => self::left($pass, Say::text('acts.pause_pass.are_paused_already')),
            $pass->state === 'revoked' => self::left($pass, Say::text('acts.pause_pass.were_withdrawn_from_it')),
            $pass->ends_at !== null && $pass->ends_at->getTimestamp() <= $this->clock->now() => self::left($pass, Say::text('acts.pause_pass.have_had_has_ended')),
            default => self::changed($pass, Say::text('acts.pause_pass.shut_out_until_taken'), ['state' => 'paused', 'paused_at' => self::stored($this->clock->now()), 'clock_stops' => $this->clockStops]),
        };
    }
}
