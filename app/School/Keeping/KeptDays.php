<?php

declare(strict_types=1);

namespace App\School\Keeping;

use App\Access\SchoolOf;
use Psr\Clock\ClockInterface;

/** For how long the school keeps what. */
final readonly class KeptDays
{
    /** The most that can be set. */
    public const MOST = 36_500;

    public function __construct(private SchoolOf $school, private ClockInterface $clock)
    {
    }

    /** @return ?int days; null: for good */
    public function of(KeptKind $kind): ?int
    {
        $kept = $this->school->begun()->kept_days ?? [];

        return array_key_exists($kind->value, $kept) ? $kept[$kind->value] : $kind->usual();
    }

    /** @return ?string the instant before which it goes, as it is stored; null: nothing does */
    public function before(KeptKind $kind): ?string
    {
        $days = $this->of($kind);

        return $days === null ? null : gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() - $days * 86_400);
    }

    /** @return array<string, ?int> as a school has it that begins now */
    public static function atFirst(): array
    {
        return array_combine(array_map(static fn (KeptKind $kind): string => $kind->value, KeptKind::cases()), array_map(static fn (KeptKind $kind): ?int => $kind->atFirst(), KeptKind::cases()));
    }
}
