<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\SchoolOf;
use App\Models\Course;
use App\Models\CourseDocument;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

final class ExportPlanCommand extends Command
{
    protected $signature = 'keep:export-plan {course : its key}';

    protected $description = 'Print the published rules of a course as a silent-keep.plan/1 document';

    public function handle(SchoolOf $school): int
    {
        $key = (string) $this->argument('course');
        $revision = Course::query()->where('key', $key)->first()?->liveRevision;
        if ($revision === null) {
            $this->output->getErrorStyle()->writeln("There is no published course {$key}.");

            return self::FAILURE;
        }
        $this->output->write(CourseDocument::fromJson($revision->document)->planJson($school()), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
