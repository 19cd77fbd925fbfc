<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
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

    /**
     * The same as looking at each of {@see self::instants()}, where no clock change moves a release.
     *
     * @param  list<int>  $walls  of each release step, wall-clock time
     * @return string a byte a closing step: whether it has come
     */
    public function come(array $walls, int $at): string
    {
        $then = $this->zone->wallAt($at);
        $come = Mask::OUT;
        foreach ($this->rules as [$rule, $release, $above]) {
            if ($come[$above] === Mask::IN) {
                $come .= Mask::IN;
            } elseif ($rule instanceof ClosesOn) {
                $come .= $rule->at <= $at ? Mask::IN : Mask::OUT;
            } else {
                $wall = $walls[$release] + $rule->days * 86400;
                // No zone changes its clock by more than a day.
                $come .= $wall + 86400 < $then || ($wall <= $then + 86400 && $this->zone->instantOfWall($wall) <= $at) ? Mask::IN : Mask::OUT;
            }
        }

        return $come;
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
        foreach ($this->rules as [$rule, $release, $above]) {
            if ($rule instanceof ClosesOn) {
                $own = $rule->at;
            } elseif ($releases[$release] === Instant::NEVER) {
                $own = Instant::NEVER;
            } else {
                $own = $zone->wallAt($releases[$release] > $from ? $releases[$release] : $from) + $rule->days * 86400;
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
