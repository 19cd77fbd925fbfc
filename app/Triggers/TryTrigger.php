<?php

declare(strict_types=1);

namespace App\Triggers;

use App\Access\SchoolClock;
use App\Models\OutsideSystem;
use App\Models\Person;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\ChosenPeople;
use App\Triggers\Happening\Happening;
use App\Triggers\Happening\Happenings;
use App\Triggers\Runs\ForWhom;
use App\Triggers\Runs\StepActs;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use App\Words\Say;

/** What a trigger would do, without doing it: to somebody now, or to those for whom it came about of late. */
final readonly class TryTrigger
{
    /** Days of a rehearsal. */
    public const DAYS = 30;

    public function __construct(private SchoolClock $clock, private Happenings $happenings, private ForWhom $forWhom, private StepActs $acts, private ActOnPeople $actOn)
    {
    }

    /**
     * @return array{?string, list<string>} why nothing would be done, in words; else each step with what it would come to
     */
    public function on(TriggerSpec $spec, string $name, Person $person): array
    {
        $against = $this->forWhom->against($spec->only, $person);
        $steps = [];
        foreach ($against === null ? $spec->steps : [] as $step) {
            try {
                if ($step->kind() === StepKind::Tell) {
                    $steps[] = Say::text('triggers.told', ['name' => OutsideSystem::query()->find($step->outside)->name ?? throw new CannotAct(Say::text('triggers.gone.outside'))]);

                    continue;
                }
                $act = $this->acts->of($step, $name);
                $steps[] = $act->told().': '.implode(', ', array_map(strval(...), array_keys($this->actOn->preview($act, ChosenPeople::named([$person->id])))));
            } catch (CannotAct $e) {
                $steps[] = $e->getMessage();
            }
        }

        return [$against, $steps];
    }

    /** @return list<Happening> what would have set it off in the last thirty days, the latest first; of learners alone */
    public function lately(TriggerSpec $spec): array
    {
        $now = $this->clock->now();
        $happened = $this->happenings->of($spec->when, $this->clock->plusDays($now, -self::DAYS), $now);
        $learners = [];
        foreach (array_chunk(array_values(array_unique(array_map(static fn (Happening $one): int => $one->personId, $happened))), 500) as $ids) {
            foreach (Person::query()->whereIn('id', $ids)->whereNull('role')->whereNull('claimed_email')->pluck('id') as $id) {
                $learners[is_numeric($id) ? (int) $id : 0] = true;
            }
        }

        return array_reverse(array_values(array_filter($happened, static fn (Happening $one): bool => isset($learners[$one->personId]))));
    }
}
