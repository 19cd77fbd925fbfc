<?php

declare(strict_types=1);

namespace App\Drafts\RunAgain;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;
use App\Models\Holidays;

/** Moves every date of a course by the same number of days, past holidays, at the same time of day; days that are counted stay as they are. */
final readonly class ShiftDates implements Edit
{
    /**
     * @param  int  $days  negative: back
     * @param  bool  $reopen  whether a retired course goes live again
     * @param  list<string>  $holidays  on which nothing is to open, as {@see Holidays} has them
     * @param  bool  $byWeeks  whether what would open on one opens whole weeks later
     */
    public function __construct(private int $days, private bool $reopen, private array $holidays = [], private bool $byWeeks = false)
    {
    }

    /** @throws CannotEdit where the course has no date and is to stay as it is */
    public function applyTo(CourseDocument $document): void
    {
        $dates = 0;
        $moved = MovedDates::of(CourseDates::of($document), $this->days, new Holidays($this->holidays), $this->byWeeks);
        $document->mapDates(static function (DocumentDate $date) use (&$dates, $moved): string {
            $dates++;

            return $moved->at($date->at);
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
        return ['set' => 'dates', 'days' => $this->days, 'reopen' => $this->reopen, ...($this->holidays === [] ? [] : ['holidays' => $this->holidays, 'byWeeks' => $this->byWeeks])];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
