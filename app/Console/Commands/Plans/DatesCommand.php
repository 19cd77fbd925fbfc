<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\PlanFile;
use App\Words\DatesCalendar;
use Illuminate\Console\Command;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Errors\CoreException;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\InvalidForesight;
use SilentKeep\Core\Foresight\ItemDates;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use Symfony\Component\Console\Output\OutputInterface;

final class DatesCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:dates {--plan=} {--offer=} {--from= : instant} {--paced-from= : instant} {--label=* : of the holder} {--ics : as iCalendar, only what is covered}';

    protected $description = 'When each item opens and closes for a pass';

    public function handle(): int
    {
        try {
            $plan = PlanFile::read($this->text('plan'));
            $offer = $plan->offer($this->text('offer')) ?? throw InvalidForesight::noSuchOffer($this->text('offer'));
            $course = $plan->course($offer->course) ?? throw InvalidForesight::noSuchCourse($offer->course);
            $from = Instant::parse($this->text('from'));
            $pacedFrom = $this->textOrNull('paced-from');
            $pass = new Pass($offer->key, $from, pacedFrom: $pacedFrom === null ? null : Instant::parse($pacedFrom));
            $dates = (new DatesForPass((new Decider($plan, $course))->prepared))->dates($offer, $pass, $this->texts('label'));
        } catch (CoreException $e) {
            return $this->refuse($e);
        }
        if ($this->option('ics') === true) {
            $this->output->write(DatesCalendar::write($course, $offer, $dates, $from), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }

        return $this->printResult(static fn (): array => array_map(static fn (ItemDates $one): array => $one->toArray(), $dates));
    }
}
