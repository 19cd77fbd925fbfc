<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\PassRows;

/** Takes a pass away, or gives a withdrawn one back. */
final readonly class WithdrawPass extends PassAct
{
    public function __construct(PassRows $passes, SchoolClock $clock, private bool $givesBack)
    {
        parent::__construct($passes, $clock);
    }

    public function name(): string
    {
        return $this->givesBack ? 'pass.given-back' : 'pass.withdrawn';
    }

    public function told(): string
    {
        return $this->givesBack ? 'Give a withdrawn pass back' : 'Withdraw a pass';
    }

    protected function step(Pass $pass): ActStep
    {
        if ($this->givesBack) {
            return $pass->state === 'revoked' ? self::changed($pass, 'have it again', ['state' => 'active']) : self::left($pass, 'were not withdrawn from it');
        }

        return $pass->state === 'revoked' ? self::left($pass, 'were withdrawn from it already') : self::changed($pass, 'lose it now', ['state' => 'revoked', 'paused_at' => null, 'clock_stops' => false]);
    }
}
