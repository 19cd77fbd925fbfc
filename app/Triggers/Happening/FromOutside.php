<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Models\IncomingEvent;
use App\Models\OutsideSystem;
use App\Triggers\Spec\When;
use App\Words\Say;

/** What systems of others said came about. It comes about here when it arrives. */
final readonly class FromOutside
{
    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        $system = OutsideSystem::query()->find($when->system);
        $events = $system === null ? [] : IncomingEvent::query()->where('outside_system_id', $system->id)->where('type', $when->type)->whereBetween('received_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get()->all();

        return array_values(array_map(static fn (IncomingEvent $one): Happening => new Happening("outside {$one->id}", $one->person_id, $one->received_at->getTimestamp(), Say::text('triggers.cause.outside-event', ['system' => $system->name ?? '', 'type' => $one->type])), $events));
    }
}
