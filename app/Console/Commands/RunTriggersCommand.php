<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Triggers\Outside\DeliverEvents;
use App\Triggers\Runs\PerformRuns;
use App\Triggers\Runs\SetOff;
use Illuminate\Console\Command;

final class RunTriggersCommand extends Command
{
    protected $signature = 'keep:run-triggers';

    protected $description = 'Note what has come about and sets triggers off, and have it done (the schedule does this every minute)';

    public function handle(SetOff $setOff): int
    {
        $new = $setOff();
        // Also those that were noted before, and did not go.
        PerformRuns::dispatch();
        DeliverEvents::dispatch();
        if ($new > 0) {
            $this->line("runs: {$new}");
        }

        return self::SUCCESS;
    }
}
