<?php

declare(strict_types=1);

namespace App\Models;

/** Days on which a school does not work: each by itself or from one to another, as the school's wall calendar has them. */
final readonly class Holidays
{
    /** Years that one span can be long; one that is longer is a slip. */
    private const LONGEST = 366;

    /** @param  list<string>  $lines  `2026-12-24` or `2026-12-24..2027-01-02`, as {@see isOne} has it */
    public function __construct(private array $lines)
    {
    }

    /** Whether a line is a day, or a span that ends no earlier than it begins and within a year. */
    public static function isOne(string $line): bool
    {
        $ends = explode('..', $line);
        foreach ($ends as $day) {
            $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day, new \DateTimeZone('UTC'));
            if ($date === false || $date->format('Y-m-d') !== $day) {
                return false;
            }
        }

        return count($ends) === 1 || (count($ends) === 2 && $ends[0] <= $ends[1] && (strtotime($ends[1]) - strtotime($ends[0])) / 86400 <= self::LONGEST);
    }

    /** @param  string  $day  YYYY-MM-DD */
    public function has(string $day): bool
    {
        foreach ($this->lines as $line) {
            [$from, $to] = [...explode('..', $line), $line];
            if ($day >= $from && $day <= $to) {
                return true;
            }
        }

        return false;
    }

    public function areNone(): bool
    {
        return $this->lines === [];
    }

    /** @return list<string> */
    public function lines(): array
    {
        return $this->lines;
    }
}
