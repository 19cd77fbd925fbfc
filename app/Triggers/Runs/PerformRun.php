<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Access\SchoolClock;
use App\Database\Hand;
use App\Models\ActRecord;
use App\Models\TriggerRun;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\ChosenPeople;
use App\Triggers\Happening\Happening;
use App\Triggers\Outside\TellOutside;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Does what a trigger does, for one person, step by step. Each step is an act by itself that is done once: a worker that is
 * stopped in between leaves nothing half done, and another one goes on with the next. What fails is tried again with growing
 * waits, and given up at last.
 */
final readonly class PerformRun
{
    /** Seconds until it is tried again, by how often it was. */
    private const WAITS = [60, 300, 1800, 7200, 21600];

    /** Seconds for which no other worker takes a run that one has taken. */
    private const HELD = 300;

    public function __construct(private SchoolClock $clock, private StepActs $acts, private ForWhom $forWhom, private ActOnPeople $actOn, private TellOutside $tell)
    {
    }

    /** @return list<TriggerRun> those that are due, taken so that no other worker does */
    public function take(int $most): array
    {
        return DB::transaction(function () use ($most): array {
            $due = TriggerRun::query()->with(['trigger', 'person'])->where('state', 'waiting')->where('due_at', '<=', Happening::stamp($this->clock->now()))->orderBy('due_at')->orderBy('id')->limit($most)->get();
            TriggerRun::query()->whereKey($due->modelKeys())->update(['due_at' => Happening::stamp($this->clock->now() + self::HELD)]);

            return array_values($due->all());
        });
    }

    public function __invoke(TriggerRun $run): void
    {
        Hand::writes("trigger {$run->trigger_id}", "run {$run->id}", fn () => $this->perform($run));
    }

    private function perform(TriggerRun $run): void
    {
        $spec = TriggerSpec::of($run->spec);
        $against = $run->did === [] ? $this->forWhom->against($spec->only, $run->person) : null;
        if ($against !== null) {
            $run->update(['state' => 'left', 'due_at' => null, 'problem' => $against]);

            return;
        }
        try {
            foreach ($spec->steps as $index => $step) {
                if (! isset($run->did[$index])) {
                    $run->update(['did' => [...$run->did, $this->done($run, $step, $index)]]);
                }
            }
            $run->update(['state' => 'done', 'due_at' => null, 'problem' => null, 'tries' => $run->tries + 1]);
        } catch (CannotAct $e) {
            $this->failed($run, $e->getMessage());
        }
    }

    /**
     * Tries a run again that was given up.
     *
     * @return bool false where it is not one of those
     */
    public function takeUpAgain(TriggerRun $run): bool
    {
        return TriggerRun::query()->whereKey($run->id)->whereIn('state', ['failed', 'stopped'])->update(['state' => 'waiting', 'tries' => 0, 'due_at' => Happening::stamp($this->clock->now()), 'problem' => null]) === 1;
    }

    /**
     * @return array{told: string, act: ?int}
     *
     * @throws CannotAct
     */
    private function done(TriggerRun $run, Step $step, int $index): array
    {
        if ($step->kind() === StepKind::Write && ! $run->person->isConfirmed()) {
            // Else anybody could have letters written to anybody.
            throw new CannotAct(Say::text('triggers.not_confirmed'));
        }
        if ($step->kind() === StepKind::Tell) {
            return ['told' => ($this->tell)($run, $step->outside, "trigger-run-{$run->id}-{$index}"), 'act' => null];
        }
        $act = $this->acts->of($step, $run->trigger->name);
        [$record] = ($this->actOn)($act, ChosenPeople::named([$run->person_id]), null, "trigger-run-{$run->id}-{$index}", by: $run->trigger->name);

        return ['told' => $record === null ? Say::text('triggers.nothing_to_do', ['act' => $act->told()]) : $act->told(), 'act' => $record instanceof ActRecord && $act->canBeUndone() ? $record->id : null];
    }

    private function failed(TriggerRun $run, string $problem): void
    {
        $wait = self::WAITS[$run->tries] ?? null;
        $run->update([
            'state' => $wait === null ? 'failed' : 'waiting', 'tries' => $run->tries + 1, 'problem' => mb_substr($problem, 0, 250),
            'due_at' => $wait === null ? null : Happening::stamp($this->clock->now() + $wait),
        ]);
    }
}
