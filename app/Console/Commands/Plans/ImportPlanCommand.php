<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\PlanFile;
use App\Access\SchoolOf;
use App\Publishing\Plans\ImportPlan;
use Illuminate\Console\Command;
use SilentKeep\Core\Format\InvalidPlan;

final class ImportPlanCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:import-plan {file : a silent-keep.plan/1 document} {--publish : over courses that are there already, as their next revision} {--take-away : also where that takes something from people who have it now}';

    protected $description = 'Read a plan document into the school: all of it, or nothing';

    public function handle(ImportPlan $import, SchoolOf $school): int
    {
        try {
            $outcomes = $import(PlanFile::text((string) $this->argument('file')), $school(), null, $this->option('publish') === true, takesAway: $this->option('take-away') === true);
        } catch (InvalidPlan $e) {
            return $this->refuse($e);
        }
        foreach ($outcomes as $outcome) {
            $this->line("{$outcome['course']}: {$outcome['outcome']}");
        }

        return self::SUCCESS;
    }
}
