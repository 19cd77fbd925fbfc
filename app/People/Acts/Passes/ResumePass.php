<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Models\Pass;
use App\People\Acts\ActStep;
use App\Words\Say;

/** Takes a paused pass up again. Where its clock stood still, its end and its pacing move by as long as it was paused. */
final readonly class ResumePass extends PassAct
{
    public function name(): string
    {
        return 'pass.resumed';
    }

    public function told(): string
    {
        return Say::text('acts.resume_pass.take_pass_up_again');
    }

    protected function step(Pass $pass): ActStep
    {
        if ($pass->state !== 'paused') {
            return self::left($pass, Say::text('acts.resume_pass.are_not_paused'));
        }
        $after = ['state' => 'active', 'paused_at' => null, 'clock_stops' => false];
        $since = $pass->paused_at?->getTimestamp();
        if (! $pass->clock_stops || $since === null) {
            return self::changed($pass, Say::text('acts.resume_pass.have_it_again'), $after);
        }
        // A pass that was to begin later has lost only the time since then.
        $lost = max(0, $this->clock->now() - max($since, $pass->starts_at->getTimestamp()));
        $end = $pass->ends_at?->getTimestamp();
        $after['paced_from'] = self::stored(($pass->paced_from ?? $pass->starts_at)->getTimestamp() + $lost);
        if ($end !== null) {
            $after['ends_at'] = self::stored($end + $lost);
            $after['warned_at'] = null;
        }

        return self::changed($pass, $end === null ? Say::text('acts.resume_pass.have_again_for_good') : Say::text('acts.resume_pass.have_again_when', ['when' => $this->clock->words($end + $lost)]), $after);
    }
}
