<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Pass;

/** Takes a paused pass up again. Where its clock stood still, its end and its pacing move by as long as it was paused. */
final readonly class ResumePass extends PassAct
{
    public function name(): string
    {
        return 'pass.resumed';
    }

    public function told(): string
    {
        return 'Take a pass up again';
    }

    protected function step(Pass $pass): ActStep
    {
        if ($pass->state !== 'paused') {
            return self::left($pass, 'are not paused');
        }
        $after = ['state' => 'active', 'paused_at' => null, 'clock_stops' => false];
        $since = $pass->paused_at?->getTimestamp();
        if (! $pass->clock_stops || $since === null) {
            return self::changed($pass, 'have it again', $after);
        }
        // A pass that was to begin later has lost only the time since then.
        $lost = max(0, $this->clock->now() - max($since, $pass->starts_at->getTimestamp()));
        $end = $pass->ends_at?->getTimestamp();
        $after['paced_from'] = self::stored(($pass->paced_from ?? $pass->starts_at)->getTimestamp() + $lost);
        if ($end !== null) {
            $after['ends_at'] = self::stored($end + $lost);
            $after['warned_at'] = null;
        }

        return self::changed($pass, $end === null ? 'have it again, for good' : 'have it again, to '.$this->clock->words($end + $lost), $after);
    }
}
