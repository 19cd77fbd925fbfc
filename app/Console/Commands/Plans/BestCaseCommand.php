<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\PlanFile;
use Illuminate\Console\Command;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\BestCase;
use SilentKeep\Core\Foresight\InvalidForesight;
use SilentKeep\Core\Foresight\ItemReach;
use SilentKeep\Core\Time\Instant;

final class BestCaseCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:best-case {--plan=} {--offer=} {--from= : instant} {--until= : instant or "never"; left out: as the offer says} {--label=* : of the holder}';

    protected $description = 'What the most diligent holder of one pass gets to see, and when';

    public function handle(): int
    {
        return $this->printResult(function (): array {
            $plan = PlanFile::read($this->text('plan'));
            $offer = $plan->offer($this->text('offer')) ?? throw InvalidForesight::noSuchOffer($this->text('offer'));
            $course = $plan->course($offer->course) ?? throw InvalidForesight::noSuchCourse($offer->course);
            $from = Instant::parse($this->text('from'));
            $until = $this->textOrNull('until');
            $end = match ($until) {
                null => $offer->lasts->end($from, $plan->zone),
                'never' => Instant::NEVER,
                default => Instant::parse($until),
            };
            $reach = (new BestCase(new Decider($plan, $course)))->of($offer, $from, $end, $this->texts('label'));

            return array_map(static fn (ItemReach $one): array => $one->toArray(), $reach);
        });
    }
}
