<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\School\Health;
use Illuminate\Console\Command;

final class BeatCommand extends Command
{
    protected $signature = 'keep:beat';

    protected $description = 'Note that the schedule runs (it does so itself every minute)';

    public function handle(Health $health): int
    {
        $health->beat();

        return self::SUCCESS;
    }
}
