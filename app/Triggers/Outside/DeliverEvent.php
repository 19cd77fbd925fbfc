<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

use App\Access\SchoolClock;
use App\Models\OutsideEvent;
use App\Standins\Wire\Wire;
use App\Triggers\Happening\Happening;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Tells a system of others one event, signed anew at each try, and notes what it answered. Any answer of 200 to 299 means that it
 * is taken; anything else is tried again with growing waits, and given up at last. A system may be told the same event twice, where
 * its answer is lost: it knows it again by its id.
 */
final readonly class DeliverEvent
{
    /** Seconds until it is tried again, by how often it was. */
    private const WAITS = [60, 300, 1800, 7200, 21600];

    /** Seconds for which no other worker takes an event that one has taken: more than a group of them takes. */
    private const HELD = 300;

    private const TYPE = 'application/cloudevents+json';

    public function __construct(private SchoolClock $clock, private Wire $wire)
    {
    }

    /** @return list<OutsideEvent> those that are due, taken so that no other worker does */
    public function take(int $most): array
    {
        return DB::transaction(function () use ($most): array {
            $due = OutsideEvent::query()->with('system')->where('state', 'waiting')->whereRelation('system', 'on', true)->where('due_at', '<=', Happening::stamp($this->clock->now()))->orderBy('due_at')->orderBy('id')->limit($most)->get();
            OutsideEvent::query()->whereKey($due->modelKeys())->update(['due_at' => Happening::stamp($this->clock->now() + self::HELD)]);

            return array_values($due->all());
        });
    }

    public function __invoke(OutsideEvent $event): void
    {
        $now = $this->clock->now();
        $system = $event->system;
        $headers = HttpSignature::headers($system->address, $event->body, "outside-{$system->id}", $system->secret, $now);
        $answer = $this->wire->post($system->address, $headers, $event->body, self::TYPE);
        $isTaken = $answer?->isTaken() === true;
        $wait = self::WAITS[$event->tries] ?? null;
        $event->update([
            'state' => $isTaken ? 'taken' : ($wait === null ? 'failed' : 'waiting'), 'tries' => $event->tries + 1, 'tried_at' => gmdate(DATE_ATOM, $now),
            'due_at' => $isTaken || $wait === null ? null : Happening::stamp($now + $wait), 'signature' => $headers,
            'status' => $answer?->status, 'answer' => $answer?->beginning, 'problem' => $answer === null ? Say::text('triggers.no_answer') : null,
        ]);
    }

    /**
     * Tells it again, also what was taken: with the same id, signed anew.
     *
     * @return bool false where it waits anyway
     */
    public function again(OutsideEvent $event): bool
    {
        return OutsideEvent::query()->whereKey($event->id)->where('state', '!=', 'waiting')->update(['state' => 'waiting', 'tries' => 0, 'due_at' => Happening::stamp($this->clock->now())]) === 1;
    }
}
