<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Checks\CourseFindings;
use App\Checks\TouchedCounts;
use App\Models\Course;
use App\Pages\Today\WeekBuilder;
use Illuminate\Console\Command;

final class LookAheadCommand extends Command
{
    protected $signature = 'keep:look-ahead';

    protected $description = 'Check what is live, and count whom findings and the week touch (the schedule does this every hour)';

    public function handle(CourseShelf $shelf, CourseFindings $findings, TouchedCounts $touched, WeekBuilder $week, SchoolClock $clock): int
    {
        $courses = array_map(static fn (array $one): Course => $one[0], array_values($shelf->all()));
        $found = 0;
        foreach ($findings->live($courses) as $id => $its) {
            $found += count($its);
            $touched->of($shelf->all()[$id][0], draft: false, findings: $its);
        }
        $week->rows($clock->monday($clock->now()), null, page: 1);
        $this->output->writeln("{$found} findings in ".count($courses).' courses.');

        return self::SUCCESS;
    }
}
