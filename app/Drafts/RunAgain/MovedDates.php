<?php

declare(strict_types=1);

namespace App\Drafts\RunAgain;

use App\Models\Document\DocumentDate;
use App\Models\Holidays;

/**
 * Where the dates of a course go. Where something would open on a holiday, it opens later, and so does all that comes after: no two
 * that were apart fall together, and closings stay as far from their openings as they were.
 */
final readonly class MovedDates
{
    /** Something opens at them; other dates only go along. */
    private const OPENING = ['season_opens', 'opens', 'only_from'];

    /** Of steps after a holiday: more in a row is a slip in the list of holidays. */
    private const MOST = 400;

    /** @param  array<string, string>  $moved  wall-clock times as the plan format has them, by the present one */
    private function __construct(private array $moved, public int $skipped)
    {
    }

    /**
     * @param  int  $days  negative: back
     * @param  bool  $byWeeks  whether what would open on a holiday opens whole weeks later; else the first day after
     */
    public static function of(CourseDates $dates, int $days, Holidays $skips, bool $byWeeks): self
    {
        $moved = [];
        $more = 0;
        foreach (self::openingsFirst($dates->dates) as $date) {
            if (isset($moved[$date->at])) {
                continue;
            }
            if (in_array($date->what, self::OPENING, true)) {
                for ($step = 0; $step < self::MOST && $skips->has(substr(self::shifted($date->at, $days + $more), 0, 10)); $step++) {
                    $more += $byWeeks ? 7 : 1;
                }
            }
            $moved[$date->at] = self::shifted($date->at, $days + $more);
        }

        return new self($moved, $more);
    }

    public function at(string $at): string
    {
        return $this->moved[$at] ?? $at;
    }

    public static function shifted(string $at, int $days): string
    {
        $time = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $at, new \DateTimeZone('UTC'));

        return $time === false ? $at : $time->modify("{$days} days")->format('Y-m-d\TH:i');
    }

    /**
     * @param  list<DocumentDate>  $dates  the earliest first
     * @return list<DocumentDate>
     */
    private static function openingsFirst(array $dates): array
    {
        usort($dates, static fn (DocumentDate $a, DocumentDate $b): int => [$a->at, in_array($a->what, self::OPENING, true) ? 0 : 1] <=> [$b->at, in_array($b->what, self::OPENING, true) ? 0 : 1]);

        return $dates;
    }
}
