<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Models\Pass;
use App\People\Acts\ActStep;
use App\Words\Say;

/** Lets a pass that was to begin later begin now. Its end stays, and it is paced from now on. */
final readonly class BeginPass extends PassAct
{
    public function name(): string
    {
        return 'pass.begun';
    }

    public function told(): string
    {
        return Say::text('acts.begin_pass.let_pass_begin');
    }

    protected function step(Pass $pass): ActStep
    {
        $now = $this->clock->now();
        if ($pass->starts_at->getTimestamp() <= $now || ($pass->ends_at !== null && $pass->ends_at->getTimestamp() <= $now)) {
            return self::left($pass, Say::text('acts.begin_pass.has_begun'));
        }

        return self::changed($pass, Say::text('acts.begin_pass.have_it_now'), ['starts_at' => self::stored($now), 'paced_from' => null]);
    }
}
