<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\VantagePoint;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;

/** Reads from where, when and at what a course is looked at, out of an address. What makes no sense in it falls back to the usual. */
trait ReadsLook
{
    public function look(): Look
    {
        $see = $this->query('see');

        return new Look($this->at(), $this->points(), is_string($see) ? RulesVersion::tryFrom($see) ?? RulesVersion::Draft : RulesVersion::Draft);
    }

    /** An instant (`2026-03-09T08:00:00Z`), or a wall-clock time in the school's zone (`2026-03-09T09:00`); null: now. */
    private function at(): ?int
    {
        $at = $this->query('at');
        if (! is_string($at)) {
            return null;
        }
        try {
            return Instant::parse($at);
        } catch (InvalidTime) {
            return app(SchoolClock::class)->instant($at);
        }
    }

    /** @return ?list<VantagePoint> each once */
    private function points(): ?array
    {
        $given = $this->query('v');
        if (! is_array($given)) {
            return null;
        }
        $points = [];
        foreach ($given as $one) {
            $point = is_string($one) ? VantagePoint::parse($one) : null;
            if ($point !== null) {
                $points[(string) $point] = $point;
            }
        }

        return array_values($points);
    }
}
