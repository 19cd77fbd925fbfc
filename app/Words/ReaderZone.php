<?php

declare(strict_types=1);

namespace App\Words;

use DateTimeImmutable;
use DateTimeZone;
use SilentKeep\Core\Time\ZoneNames;

/** The zone of whoever reads the page that is being made, as far as their browser has told: where its clock shows another time, times say whose they are. */
final class ReaderZone
{
    private ?DateTimeZone $zone = null;

    /** @param  ?string  $name  as whoever asks says it; what names no zone says nothing */
    public function read(?string $name): void
    {
        $this->zone = $name !== null && ZoneNames::has($name) ? ZoneNames::zone($name) : null;
    }

    /**
     * What is written to somebody else, or to be read later, names the zone itself.
     *
     * @template T
     *
     * @param  \Closure(): T  $words
     * @return T
     */
    public function without(\Closure $words): mixed
    {
        [$zone, $this->zone] = [$this->zone, null];
        try {
            return $words();
        } finally {
            $this->zone = $zone;
        }
    }

    public function isKnown(): bool
    {
        return $this->zone !== null;
    }

    /** Whether their clock shows the same at an instant; so it is taken to be where theirs is not known. */
    public function agrees(DateTimeImmutable $local): bool
    {
        return $this->zone === null || $this->zone->getOffset($local) === $local->getOffset();
    }
}
