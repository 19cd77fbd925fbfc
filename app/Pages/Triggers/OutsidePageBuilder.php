<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Words\Say;

/** Puts together what is seen of systems of others. */
final readonly class OutsidePageBuilder
{
    private const LISTED = 50;

    public function __construct(private SchoolClock $clock)
    {
    }

    public function page(?OutsideSystem $open, ?string $secret): OutsidePage
    {
        $count = static fn (string $state) => OutsideEvent::query()->toBase()->where('state', $state)->selectRaw('outside_system_id, count(*) as events')->groupBy('outside_system_id')->pluck('events', 'outside_system_id');
        [$waiting, $failed] = [$count('waiting'), $count('failed')];
        $systems = OutsideSystem::query()->orderBy('name')->get()->map(static fn (OutsideSystem $one): OutsideRow => new OutsideRow(
            $one->id, $one->version, $one->name, $one->address, $one->on, Value::int($waiting[$one->id] ?? 0), Value::int($failed[$one->id] ?? 0),
        ))->all();
        $events = $open === null ? [] : OutsideEvent::query()->where('outside_system_id', $open->id)->orderByDesc('id')->limit(self::LISTED)->get()->map($this->event(...))->all();

        return new OutsidePage(array_values($systems), $open?->id, array_values($events), $secret);
    }

    private function event(OutsideEvent $one): OutsideEventRow
    {
        $headers = $one->signature ?? [];

        return new OutsideEventRow(
            $one->id, $this->clock->words($one->made_at->getTimestamp()), $one->state, $one->tries, $one->due_at === null || $one->tries === 0 ? null : $this->clock->words($one->due_at->getTimestamp()),
            $one->body, array_map(static fn (string $name, string $value): string => "{$name}: {$value}", array_keys($headers), $headers), $one->problem ?? ($one->status === null ? null : Say::text('triggers.answered', ['answer' => trim("{$one->status} {$one->answer}")])),
        );
    }
}
