<?php

declare(strict_types=1);

namespace App\School\Keeping;

/** What is let go of after a number of days that the school sets. Courses, passes and what was finished are none of it: they are what the school is about. */
enum KeptKind: string
{
    case Letters = 'letters';
    case Events = 'events';
    case Runs = 'runs';
    case Log = 'log';
    case FormAnswers = 'form_answers';
    case NextRuns = 'next_runs';
    case Visits = 'visits';
    case Reports = 'reports';
    case Links = 'links';
    case Uploads = 'uploads';

    /** People themselves, after their last pass has ended and they were here for the last time: they are erased. */
    case Departed = 'departed';

    /** @return ?int days, where the school has not said; null: for good */
    public function usual(): ?int
    {
        return match ($this) {
            self::Letters, self::Events, self::Runs, self::Visits => 400,
            self::Reports => 90,
            self::Links => 30,
            self::Uploads => 7,
            self::Log, self::FormAnswers, self::NextRuns, self::Departed => null,
        };
    }

    /** @return ?int days in a school that begins now: one that is there already loses nothing that it did not agree to lose */
    public function atFirst(): ?int
    {
        return match ($this) {
            self::Log => 1095,
            self::FormAnswers => 730,
            self::NextRuns => 365,
            default => $this->usual(),
        };
    }

    /** The fewest days: for so long it keeps letters and acts from being written twice, or can be taken back. */
    public function least(): int
    {
        return match ($this) {
            self::Letters, self::Runs, self::Log => 90,
            self::Events, self::FormAnswers, self::NextRuns, self::Visits, self::Departed => 30,
            self::Reports, self::Links, self::Uploads => 1,
        };
    }

    public function mayStayForGood(): bool
    {
        return ! in_array($this, [self::Links, self::Uploads], true);
    }
}
