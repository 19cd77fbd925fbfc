<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CleanUp;
use Illuminate\Console\Command;

final class CleanUpCommand extends Command
{
    protected $signature = 'keep:clean-up';

    protected $description = 'Let go of uploaded lists, used links, old letters and what was prepared and not done (the schedule does this every hour)';

    public function handle(CleanUp $cleanUp): int
    {
        foreach ($cleanUp() as $what => $count) {
            if ($count > 0) {
                $this->line("{$count} {$what}");
            }
        }

        return self::SUCCESS;
    }
}
