<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;
use App\Words\Say;

/** Passes that begin, end, or will end in some days. */
final readonly class FromPasses
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        $kind = $when->kind();
        $days = $kind === EventKind::PassEndsIn ? $when->days ?? 0 : 0;
        $column = $kind === EventKind::PassBegins ? 'starts_at' : 'ends_at';
        $passes = Pass::query()->with('offer')->where('state', 'active')->when($kind !== EventKind::PassBegins, static fn ($query) => $query->whereNull('ended_by'))
            ->whereBetween($column, [Happening::stamp($this->clock->plusDays($from, $days)), Happening::stamp($this->clock->plusDays($to, $days))])
            ->when($when->offer !== null, static fn ($query) => $query->whereRelation('offer', 'key', $when->offer))->orderBy($column)->limit(Happening::MOST)->get();
        $found = [];
        foreach ($passes as $pass) {
            $at = ($kind === EventKind::PassBegins ? $pass->starts_at : $pass->ends_at)?->getTimestamp() ?? $to;
            $found[] = new Happening("{$when->event} {$pass->id} {$at}", $pass->person_id, $this->clock->plusDays($at, -$days), Say::text("triggers.cause.{$when->event}", ['offer' => $pass->offer->name, 'days' => $days]));
        }

        return $found;
    }
}
