<?php

declare(strict_types=1);

namespace App\Triggers;

use App\Models\Person;
use App\Models\Trigger;
use App\School\Log\ActivityLog;
use App\Triggers\Spec\TriggerSpec;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes triggers, changes them, switches them on and off, lets them go. What came about while one was off sets nothing off later. */
final readonly class SaveTrigger
{
    public function __construct(private ActivityLog $log, private ClockInterface $clock)
    {
    }

    public function make(string $name, TriggerSpec $spec, Person $author): Trigger
    {
        return DB::transaction(function () use ($name, $spec, $author): Trigger {
            $trigger = Trigger::query()->create(['name' => $name, 'spec' => $spec->toArray()]);
            $this->log->note('trigger.made', $author, after: ['name' => $name, 'spec' => $spec->toArray()]);

            return $trigger;
        });
    }

    /**
     * What is noted already is done as it was when it was noted.
     *
     * @param  int  $seen  the version that the author saw
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function change(Trigger $trigger, string $name, TriggerSpec $spec, int $seen, Person $author): bool
    {
        return $this->set($trigger, ['name' => $name, 'spec' => $spec->toArray(), ...($spec->toArray()['when'] === ($trigger->spec['when'] ?? null) || ! $trigger->on ? [] : ['since' => $this->clock->now()])], $seen, $author, 'trigger.changed');
    }

    /** @return bool false where somebody else was there meanwhile, and nothing was changed */
    public function switch(Trigger $trigger, bool $on, int $seen, Person $author): bool
    {
        return $this->set($trigger, ['on' => $on, ...($on ? ['since' => $this->clock->now()] : [])], $seen, $author, $on ? 'trigger.switched-on' : 'trigger.switched-off');
    }

    public function letGo(Trigger $trigger, Person $author): void
    {
        DB::transaction(function () use ($trigger, $author): void {
            if (Trigger::query()->whereKey($trigger->id)->delete() > 0) {
                $this->log->note('trigger.let-go', $author, before: ['name' => $trigger->name, 'spec' => $trigger->spec]);
            }
        });
    }

    /** @param  array<string, mixed>  $columns */
    private function set(Trigger $trigger, array $columns, int $seen, Person $author, string $action): bool
    {
        return DB::transaction(function () use ($trigger, $columns, $seen, $author, $action): bool {
            $kept = Trigger::query()->find($trigger->id);
            if ($kept === null || $kept->version !== $seen) {
                return false;
            }
            $before = $kept->only(['name', 'on', 'spec']);
            $kept->update([...$columns, 'version' => $seen + 1]);
            $this->log->note($action, $author, before: $before, after: $kept->only(['name', 'on', 'spec']));

            return true;
        });
    }
}
