<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Models\Pass;
use App\People\Acts\ActStep;
use App\Words\Say;

/** Lets a pass end now, as if its time were over. */
final readonly class EndPass extends PassAct
{
    public function name(): string
    {
        return 'pass.ended';
    }

    public function told(): string
    {
        return Say::text('acts.end_pass.end');
    }

    protected function step(Pass $pass): ActStep
    {
        $now = $this->clock->now();
        if ($pass->ends_at !== null && $pass->ends_at->getTimestamp() <= $now) {
            return self::left($pass, Say::text('acts.end_pass.have_had_has_ended'));
        }

        // One that has not begun ends as it begins.
        return self::changed($pass, Say::text('acts.lose_it_now'), ['ends_at' => self::stored(max($now, $pass->starts_at->getTimestamp()))]);
    }
}
