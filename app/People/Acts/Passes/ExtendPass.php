<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\Acts\ActStep;
use App\People\PassRows;
use App\Words\Say;
use SilentKeep\Core\Time\Instant;

/** Lets a pass last longer: days are counted from its end, at the same time by the school's clock, not from today. */
final readonly class ExtendPass extends PassAct
{
    /** @param  ?int  $until  instant, or never: for good; null: by days */
    public function __construct(PassRows $passes, SchoolClock $clock, private int $days, private ?int $until = null)
    {
        parent::__construct($passes, $clock);
    }

    public function name(): string
    {
        return 'pass.extended';
    }

    public function told(): string
    {
        if ($this->until === Instant::NEVER) {
            return Say::text('acts.extend_pass.extend_for_good');
        }

        return $this->until !== null ? Say::text('acts.extend_pass.extend_pass_when', ['when' => $this->clock->words($this->until)]) : Say::text('acts.extend_pass.extend_by', ['days' => $this->days]);
    }

    public function isHelp(): bool
    {
        return true;
    }

    protected function step(Pass $pass): ActStep
    {
        if ($pass->state === 'revoked') {
            return self::left($pass, Say::text('acts.extend_pass.were_withdrawn_from_it'));
        }
        $end = $pass->ends_at?->getTimestamp();
        if ($end === null) {
            return self::left($pass, Say::text('acts.extend_pass.have_for_good_already'));
        }
        if ($this->until === Instant::NEVER) {
            return self::changed($pass, Say::text('acts.extend_pass.have_for_good'), ['ends_at' => null, 'warned_at' => null, 'erased_at' => null]);
        }
        $until = $this->until ?? $this->clock->plusDays($end, $this->days);
        if ($until <= $end) {
            return self::left($pass, Say::text('acts.have_as_long_already'));
        }
        $after = ['ends_at' => self::stored($until)];
        // Another end is to be told of anew, and is followed by erasing anew.
        $more = $until > $this->clock->now() ? ['warned_at' => null, 'erased_at' => null] : [];

        return self::changed($pass, Say::text($until > $this->clock->now() ? 'acts.extend_pass.have_to' : 'acts.extend_pass.would_have_had', ['when' => $this->clock->words($until)]), [...$after, ...$more]);
    }
}
