<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

/** When what an offer releases closes again, in as many steps as there are rules. Closing step 0 never comes. */
final readonly class ClosingSteps
{
    /** @param  list<array{Closing, int, int}>  $rules  the rule, the release step, the closing step of what it stands in; from closing step 1 on */
    public function __construct(private SchoolZone $zone, public array $rules)
    {
    }

    /** Whether a closing step may come before a release step, or at once with it. */
    public function mayComeBefore(int $closing, int $release): bool
    {
        [$rule, $countsFrom, $above] = $this->rules[$closing - 1] ?? [null, 0, 0];

        return $rule !== null && ($above > 0 || $countsFrom !== $release || $rule instanceof ClosesOn || $rule->days <= 0);
    }

    /**
     * @param  list<int>  $releases  of each release step
     * @param  int  $from  of the pass
     * @return list<int> the instant of each closing step
     */
    public function instants(array $releases, int $from): array
    {
        $zone = $this->zone;
        $instants = [Instant::NEVER];
        [$since, $until, $offset] = [0, 0, 0];
        [$unchangedFrom, $unchangedUntil, $ahead] = [0, 0, 0];
        foreach ($this->rules as [$rule, $release, $above]) {
            if ($rule instanceof ClosesOn) {
                $own = $rule->at;
            } elseif ($releases[$release] === Instant::NEVER) {
                $own = Instant::NEVER;
            } else {
                $opened = $releases[$release] > $from ? $releases[$release] : $from;
                if ($opened >= $unchangedUntil || $opened < $unchangedFrom) {
                    [$unchangedFrom, $unchangedUntil, $ahead] = $zone->stretchAt($opened);
                }
                $own = $opened + $ahead + $rule->days * 86400;
                if ($own >= $until || $own < $since) {
                    [$since, $until, $offset] = $zone->stretchOfWall($own);
                }
                $own -= $offset;
            }
            $instants[] = $own < $instants[$above] ? $own : $instants[$above];
        }

        return $instants;
    }
}
