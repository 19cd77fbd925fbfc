<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\TriggerRun;
use App\People\Acts\CannotAct;
use App\Triggers\Happening\Happening;
use App\Triggers\Spec\TriggerSpec;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Lays down what a system of others is to be told of a run: a CloudEvent (1.0, structured, JSON). */
final readonly class TellOutside
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  string  $once  twice the same is told once
     * @return string what was done, in words
     *
     * @throws CannotAct
     */
    public function __invoke(TriggerRun $run, ?int $system, string $once): string
    {
        $told = OutsideSystem::query()->find($system) ?? throw new CannotAct(Say::text('triggers.gone.outside'));
        if (! $told->on) {
            throw new CannotAct(Say::text('triggers.outside_off', ['name' => $told->name]));
        }
        $now = $this->clock->now();
        $event = (string) Str::uuid();
        $body = json_encode([
            'specversion' => '1.0',
            'id' => $event,
            'source' => SchoolAddress::of('home', []),
            'type' => 'silentkeep.'.TriggerSpec::of($run->spec)->when->event,
            'time' => gmdate(DATE_ATOM, $run->happened_at->getTimestamp()),
            'datacontenttype' => 'application/json',
            'data' => ['trigger' => $run->trigger->name, 'cause' => $run->cause, 'person' => ['id' => $run->person_id, 'name' => $run->person->name, 'email' => $run->person->claimed_email === null ? $run->person->email : null]],
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        DB::transaction(static fn () => OutsideEvent::query()->insertOrIgnore([
            'outside_system_id' => $told->id, 'person_id' => $run->person_id, 'event' => $event, 'once' => $once, 'body' => $body, 'state' => 'waiting', 'tries' => 0, 'due_at' => Happening::stamp($now), 'made_at' => Happening::stamp($now),
        ]));
        DeliverEvents::dispatch()->afterCommit();

        return Say::text('triggers.told', ['name' => $told->name]);
    }
}
