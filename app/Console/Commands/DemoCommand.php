<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\School;
use Database\Seeders\DemoSchool;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'keep:demo';

    protected $description = 'Load the demo school Alder & Tide; does nothing where a school is already';

    public function handle(DemoSchool $demo): int
    {
        if (School::query()->exists()) {
            $this->line('There is a school already; nothing was changed.');

            return self::SUCCESS;
        }
        $demo->run();
        $this->line('The demo school Alder & Tide is ready.');

        return self::SUCCESS;
    }
}
