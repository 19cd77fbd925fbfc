<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\AskFile;
use App\Access\PlanFile;
use Illuminate\Console\Command;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Time\Instant;

final class ImpactCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:impact {--before= : a plan} {--after= : a plan} {--course=} {--people= : a JSON list of people} {--at= : instant of the change} {--until= : last instant looked at} {--names : ids in place of numbers}';

    protected $description = 'What changing one plan for another does to people';

    public function handle(): int
    {
        return $this->printResult(function (): array {
            $before = PlanFile::read($this->text('before'));
            $after = PlanFile::read($this->text('after'));
            $impact = new Impact($before, $after, $this->text('course'), Instant::parse($this->text('at')), Instant::parse($this->text('until')));

            return $impact->on(AskFile::people($this->text('people'), $before, $after))->toArray($this->option('names') === true);
        });
    }
}
