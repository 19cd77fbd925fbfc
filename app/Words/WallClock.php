<?php

declare(strict_types=1);

namespace App\Words;

/** The school's wall clock, as far as sentences need it. */
interface WallClock
{
    /** `Mon 9 Mar, 09:00`, with the year where it is not this one, and whose time that is where the reader's clock shows another. */
    public function words(int $instant): string;

    /** The same where the zone stands beside it anyhow. */
    public function plain(int $instant): string;

    /** `Mon 9 Mar`, likewise. */
    public function date(int $instant): string;

    /** `Oslo time`: the zone as people call it. */
    public function zoneName(): string;
}
