<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\School;
use Database\Seeders\DemoSchool;
use Database\Seeders\DemoYears;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class DemoCommand extends Command
{
    protected $signature = 'keep:demo';

    protected $description = 'Load the demo school Alder & Tide; does nothing where a school is already';

    public function handle(DemoSchool $demo, DemoYears $years): int
    {
        if (School::query()->exists()) {
            $this->line('There is a school already; nothing was changed.');

            return self::SUCCESS;
        }
        // In one step: a demo that was stopped midway is begun anew.
        DB::transaction(static function () use ($demo, $years): void {
            $demo->run();
            $years->run();
        });
        $this->line('The demo school Alder & Tide is ready.');

        return self::SUCCESS;
    }
}
