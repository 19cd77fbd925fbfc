<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\IncomingEvent;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Pages\Triggers\NumberPick;
use App\Words\Say;

/** Puts together what went between the school and systems of others. */
final readonly class WirePageBuilder
{
    private const PER_PAGE = 50;

    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  ?int  $system  null: all
     * @param  ?string  $state  null: all
     */
    public function page(int $page, bool $incoming, ?int $system, ?string $state): WirePage
    {
        $systems = OutsideSystem::query()->orderBy('name')->get(['id', 'name']);
        [$rows, $total] = $incoming ? $this->incoming($page, $system) : $this->told($page, $system, $state);

        return new WirePage($rows, array_values($systems->map(static fn (OutsideSystem $one): NumberPick => new NumberPick($one->id, $one->name))->all()), $incoming ? 'in' : 'out', $system, $incoming ? null : $state, $total, $page, max(1, (int) ceil($total / self::PER_PAGE)));
    }

    /** @return array{list<WireRow>, int} */
    private function told(int $page, ?int $system, ?string $state): array
    {
        $query = OutsideEvent::query()->when($system !== null, static fn ($of) => $of->where('outside_system_id', $system))->when($state !== null, static fn ($of) => $of->where('state', $state));
        $rows = (clone $query)->with('system')->orderByDesc('id')->forPage($page, self::PER_PAGE)->get()->map(function (OutsideEvent $one): WireRow {
            $headers = $one->signature ?? [];

            return new WireRow(
                "out {$one->id}", incoming: false, event: $one->state === 'waiting' ? null : $one->id, system: $one->system->name, type: self::type($one->body), when: $this->clock->words($one->made_at->getTimestamp()), state: $one->state,
                body: $one->body, signature: array_map(static fn (string $name, string $value): string => "{$name}: {$value}", array_keys($headers), $headers),
                answered: $one->problem ?? ($one->status === null ? null : Say::text('triggers.answered', ['answer' => trim("{$one->status} {$one->answer}")])),
            );
        })->all();

        return [array_values($rows), $query->count()];
    }

    /** @return array{list<WireRow>, int} */
    private function incoming(int $page, ?int $system): array
    {
        $query = IncomingEvent::query()->when($system !== null, static fn ($of) => $of->where('outside_system_id', $system));
        $names = OutsideSystem::query()->pluck('name', 'id')->all();
        $rows = (clone $query)->orderByDesc('id')->forPage($page, self::PER_PAGE)->get()->map(fn (IncomingEvent $one): WireRow => new WireRow(
            "in {$one->id}", incoming: true, event: null, system: Value::text($names[$one->outside_system_id] ?? ''), type: $one->type, when: $this->clock->words($one->received_at->getTimestamp()), state: 'taken',
            body: $one->body, signature: ["Signature: {$one->signature}"], answered: null,
        ))->all();

        return [array_values($rows), $query->count()];
    }

    private static function type(string $body): string
    {
        $event = json_decode($body, true);

        return is_array($event) && is_string($event['type'] ?? null) ? $event['type'] : '';
    }
}
