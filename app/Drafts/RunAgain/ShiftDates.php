<?php

declare(strict_types=1);

namespace App\Drafts\RunAgain;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;

/** Moves every date of a course by the same number of days, at the same time of day; days that are counted stay as they are. */
final readonly class ShiftDates implements Edit
{
    /**
     * @param  int  $days  negative: back
     * @param  bool  $reopen  whether a retired course goes live again
     */
    public function __construct(private int $days, private bool $reopen)
    {
    }

    public static function moved(string $at, int $days): string
    {
        $time = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $at, new \DateTimeZone('UTC'));

        return $time === false ? $at : $time->modify("{$days} days")->format('Y-m-d\TH:i');
    }

    /** @throws CannotEdit where the course has no date and is to stay as it is */
    public function applyTo(CourseDocument $document): void
    {
        $dates = 0;
        $document->mapDates(function (DocumentDate $date) use (&$dates): string {
            $dates++;

            return self::moved($date->at, $this->days);
        });
        $reopens = $this->reopen && $document->read()->state() !== 'live';
        if ($reopens) {
            $document->edit()->set('state', 'live');
        }
        if ($dates === 0 && ! $reopens) {
            throw CannotEdit::noDates();
        }
    }

    public function toArray(): array
    {
        return ['set' => 'dates', 'days' => $this->days, 'reopen' => $this->reopen];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
