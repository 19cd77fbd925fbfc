<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use SilentKeep\Core\Errors\CoreException;
use SilentKeep\Core\Format\InvalidPlan;
use Symfony\Component\Console\Output\OutputInterface;

/** For commands that print JSON on standard output and what is wrong on standard error. */
trait PrintsJson
{
    private function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @param  \Closure(): mixed  $compute */
    private function printResult(\Closure $compute): int
    {
        try {
            $this->output->writeln($this->json($compute()), OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        } catch (CoreException $e) {
            return $this->refuse($e);
        }
    }

    private function refuse(CoreException $e): int
    {
        $lines = $e instanceof InvalidPlan ? array_map(strval(...), $e->offences) : [$e->getMessage()];
        foreach ($lines as $line) {
            $this->output->getErrorStyle()->writeln($line, OutputInterface::OUTPUT_RAW);
        }

        return self::FAILURE;
    }

    private function text(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : '';
    }

    private function textOrNull(string $option): ?string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : null;
    }

    /** @return list<string> */
    private function texts(string $option): array
    {
        $values = $this->option($option);

        return is_array($values) ? array_values(array_filter($values, is_string(...))) : [];
    }
}
