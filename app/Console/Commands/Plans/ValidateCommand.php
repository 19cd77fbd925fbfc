<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\PlanFile;
use Illuminate\Console\Command;
use SilentKeep\Core\Format\InvalidPlan;
use Symfony\Component\Console\Output\OutputInterface;

final class ValidateCommand extends Command
{
    protected $signature = 'keep:validate {plan : the plan document}';

    protected $description = 'Check a plan document, printing each offence with its JSON pointer';

    public function handle(): int
    {
        try {
            $plan = PlanFile::read((string) $this->argument('plan'));
        } catch (InvalidPlan $e) {
            foreach ($e->offences as $offence) {
                $this->output->writeln((string) $offence, OutputInterface::OUTPUT_RAW);
            }

            return self::FAILURE;
        }
        $this->output->writeln('Valid: '.count($plan->courses).' courses, '.count($plan->offers).' offers.');

        return self::SUCCESS;
    }
}
