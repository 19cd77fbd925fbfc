<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\AskFile;
use App\Access\PlanFile;
use Illuminate\Console\Command;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;

final class WaysInCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:ways-in {--plan=} {--ask= : one ask} {--item=}';

    protected $description = 'The offers that would open a closed item, and when at best';

    public function handle(): int
    {
        return $this->printResult(function (): array {
            $plan = PlanFile::read($this->text('plan'));
            $ask = AskFile::one($this->text('ask'), $plan);
            $ways = (new WaysIn(new Decider($plan, $ask->course), $plan->zone))->to($this->text('item'), $ask->viewer, $ask->at);

            return array_map(static fn (WayIn $way): array => $way->toArray(), $ways);
        });
    }
}
