<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\Acts\ActStep;
use App\People\PassRows;
use App\Words\Say;

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
        return $this->givesBack ? Say::text('acts.withdraw_pass.give_withdrawn_pass_back') : Say::text('acts.withdraw_pass.withdraw');
    }

    protected function step(Pass $pass): ActStep
    {
        if ($this->givesBack) {
            return $pass->state === 'revoked' ? self::changed($pass, Say::text('acts.withdraw_pass.have_it_again'), ['state' => 'active']) : self::left($pass, Say::text('acts.withdraw_pass.were_not_withdrawn_from'));
        }

        return $pass->state === 'revoked' ? self::left($pass, Say::text('acts.withdraw_pass.were_withdrawn_from_already')) : self::changed($pass, Say::text('acts.lose_it_now'), ['state' => 'revoked', 'paused_at' => null, 'clock_stops' => false]);
    }
}
