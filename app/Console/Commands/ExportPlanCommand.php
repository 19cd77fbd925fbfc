<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Keep\CourseDocument;
use App\Keep\SchoolOf;
use App\Models\Course;
use Illuminate\Console\Command;

final class ExportPlanCommand extends Command
{
    protected $signature = 'keep:export-plan {course : its key}';

    protected $description = 'Print the published rules of a course as a silent-keep.plan/1 document';

    public function handle(SchoolOf $school): int
    {
        $key = (string) $this->argument('course');
        $revision = Course::query()->where('key', $key)->first()?->liveRevision;
        if ($revision === null) {
            fwrite(STDERR, "There is no published course {$key}.".PHP_EOL);

            return self::FAILURE;
        }
        $this->output->write(CourseDocument::fromJson($revision->document)->planJson($school()), false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
