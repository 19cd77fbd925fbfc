<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\AskFile;
use App\Access\PlanFile;
use Illuminate\Console\Command;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Errors\CoreException;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\InvalidAsk;
use SilentKeep\Core\Outline\Plan;
use Symfony\Component\Console\Output\OutputInterface;

final class DecideCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:decide {--plan= : the plan document} {--asks= : a JSON list of asks}';

    protected $description = 'Answer asks about a plan: what is open, locked or hidden, and why';

    /** @var array<array-key, CompiledDecider> by course */
    private array $deciders = [];

    public function handle(): int
    {
        $status = self::SUCCESS;
        try {
            $plan = PlanFile::read($this->text('plan'));
            $separator = '[';
            foreach (AskFile::elements($this->text('asks')) as $value) {
                $answer = $this->answer($plan, $value);
                $status = isset($answer['error']) ? self::FAILURE : $status;
                $this->output->write($separator.$this->json($answer), false, OutputInterface::OUTPUT_RAW);
                $separator = ",\n";
            }
            $this->output->writeln($separator === '[' ? '[]' : ']', OutputInterface::OUTPUT_RAW);
        } catch (CoreException $e) {
            return $this->refuse($e);
        }

        return $status;
    }

    /** @return array<string, mixed> */
    private function answer(Plan $plan, mixed $value): array
    {
        try {
            $ask = (new AskReader($plan))->ask($value);
        } catch (InvalidAsk $e) {
            $id = $value instanceof \stdClass ? $value->id ?? null : null;

            return ['id' => is_scalar($id) ? $id : null, 'error' => $e->getMessage()];
        }
        $decider = $this->deciders[$ask->course->key] ??= new CompiledDecider($plan, $ask->course);

        return ['id' => $ask->id, 'items' => array_map(static fn (Decision $decision): array => $decision->toArray(), $decider->decide($ask->viewer, $ask->at))];
    }
}
