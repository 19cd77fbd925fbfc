<?php

declare(strict_types=1);

namespace App\Numbers;

use App\Access\SchoolClock;

/** The weeks that charts are drawn of, by the school's wall clock: twelve before the present one, and from it on twelve. */
final readonly class Weeks
{
    public const COUNT = 12;

    /** @param  int  $monday  the first instant of the present week */
    private function __construct(private SchoolClock $clock, public int $monday)
    {
    }

    public static function present(SchoolClock $clock): self
    {
        return self::of($clock, $clock->monday($clock->now()));
    }

    /** Of which the present one begins on a date. */
    public static function of(SchoolClock $clock, string $monday): self
    {
        return new self($clock, (int) $clock->instant("{$monday}T00:00"));
    }

    /** `2026-03-09` */
    public function day(): string
    {
        return $this->clock->day($this->monday);
    }

    /** @param  int  $week  0: the present one; negative: before it */
    public function begins(int $week): int
    {
        return $this->clock->plusDays($this->monday, 7 * $week);
    }

    /** @return list<int> the first instants of those before the present one, and of it */
    public function past(): array
    {
        return array_map($this->begins(...), range(-self::COUNT, 0));
    }

    /** @return list<int> the first instants of the present one and of those to come, and the last instant of all */
    public function coming(): array
    {
        return array_map($this->begins(...), range(0, self::COUNT));
    }
}
