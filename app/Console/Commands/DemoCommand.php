<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\History\History;
use App\Models\School;
use Database\Seeders\DemoSchool;
use Database\Seeders\DemoYears;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class DemoCommand extends Command
{
    protected $signature = 'keep:demo {--begun : as on its first day, without what two years have left}';

    protected $description = 'Load the demo school Alder & Tide; does nothing where a school is already';

    public function handle(DemoSchool $demo, DemoYears $years, History $history): int
    {
        if (School::query()->exists()) {
            $this->line('There is a school already; nothing was changed.');

            return self::SUCCESS;
        }
        // In one step: a demo that was stopped midway is begun anew.
        $begun = $this->option('begun') === true;
        DB::transaction(static fn () => $history->of(static function () use ($demo, $years, $begun): void {
            $demo->run();
            if (! $begun) {
                $years->run();
            }
        }));
        $this->line('The demo school Alder & Tide is ready.');

        return self::SUCCESS;
    }
}
