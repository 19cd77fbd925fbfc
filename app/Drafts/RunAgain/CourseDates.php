<?php

declare(strict_types=1);

namespace App\Drafts\RunAgain;

use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;

/** The dates of a course as they are, the earliest first, and how far they go to begin on another day. */
final readonly class CourseDates
{
    /** @param  list<DocumentDate>  $dates */
    private function __construct(public array $dates)
    {
    }

    public static function of(CourseDocument $document): self
    {
        $dates = [];
        // What is handed back stands where it stood.
        $document->copy()->mapDates(static function (DocumentDate $date) use (&$dates): string {
            $dates[] = $date;

            return $date->at;
        });
        usort($dates, static fn (DocumentDate $a, DocumentDate $b): int => strcmp($a->at, $b->at));

        return new self($dates);
    }

    /** The day on which it all begins, as YYYY-MM-DD; null: the course names no date. */
    public function firstDay(): ?string
    {
        return isset($this->dates[0]) ? substr($this->dates[0]->at, 0, 10) : null;
    }

    /**
     * Days from the present first day to another.
     *
     * @param  string  $day  YYYY-MM-DD
     * @param  bool  $keepWeekdays  by whole weeks: to the day of the same weekday that is nearest, the later of two
     */
    public function daysTo(string $day, bool $keepWeekdays): int
    {
        $utc = new \DateTimeZone('UTC');
        $days = (int) (new \DateTimeImmutable($this->firstDay() ?? $day, $utc))->diff(new \DateTimeImmutable($day, $utc))->format('%r%a');

        return $keepWeekdays ? (int) floor($days / 7 + 0.5) * 7 : $days;
    }
}
