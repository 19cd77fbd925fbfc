<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Offers\EndTrials;
use Illuminate\Console\Command;

final class EndTrialsCommand extends Command
{
    protected $signature = 'keep:end-trials {--dry-run : only list what would be done}';

    protected $description = 'Warn before passes end that erase, and erase once their grace is over (the schedule does this every hour)';

    public function handle(EndTrials $end): int
    {
        foreach ($end($this->option('dry-run') === true) as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }
}
