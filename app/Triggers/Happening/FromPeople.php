<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Activity;
use App\Models\ItemVisit;
use App\Models\Offer;
use App\Models\Pass;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;
use App\Words\Say;

/** Who is new, who was given or lost a label, who has only looked. */
final readonly class FromPeople
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        return match ($when->kind()) {
            EventKind::AccountMade => $this->lines('person.made', null, $when, $from, $to),
            EventKind::LabelGiven => [...$this->lines('label.given', 'after', $when, $from, $to), ...$this->byPasses('starts_at', $when, $from, $to)],
            EventKind::LabelTaken => [...$this->lines('label.taken', 'before', $when, $from, $to), ...$this->byPasses('ends_at', $when, $from, $to)],
            default => $this->samples($when, $from, $to),
        };
    }

    /**
     * @param  ?string  $side  of the line that names the label
     * @return list<Happening>
     */
    private function lines(string $action, ?string $side, When $when, int $from, int $to): array
    {
        $lines = Activity::query()->where('action', $action)->whereNotNull('person_id')->whereBetween('happened_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get();
        $found = [];
        foreach ($lines as $line) {
            $label = $side === null ? null : Value::text(($side === 'after' ? $line->after : $line->before)['label'] ?? '');
            if ($label === $when->label) {
                $found[] = new Happening("line {$line->id}", (int) $line->person_id, $line->happened_at->getTimestamp(), Say::text("triggers.cause.{$when->event}", ['label' => (string) $label]));
            }
        }

        return $found;
    }

    /**
     * What passes give as long as they are in force: it comes as one begins, and goes as one ends.
     *
     * @param  'starts_at'|'ends_at'  $edge
     * @return list<Happening>
     */
    private function byPasses(string $edge, When $when, int $from, int $to): array
    {
        $giving = Offer::query()->where('labels', '!=', '[]')->get()->filter(static fn (Offer $offer): bool => in_array($when->label, $offer->labels, true))->modelKeys();
        $passes = $giving === [] ? [] : Pass::query()->whereIn('offer_id', $giving)->where('state', 'active')->whereBetween($edge, [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get();
        $found = [];
        foreach ($passes as $pass) {
            $at = $edge === 'starts_at' ? $pass->starts_at : $pass->ends_at;
            $found[] = new Happening("{$edge} {$pass->id}", $pass->person_id, $at?->getTimestamp() ?? $to, Say::text("triggers.cause.{$when->event}", ['label' => (string) $when->label]));
        }

        return $found;
    }

    /** @return list<Happening> those who first looked so many days before, and have never held a pass */
    private function samples(When $when, int $from, int $to): array
    {
        $days = $when->days ?? 0;
        $looked = ItemVisit::query()->toBase()->groupBy('person_id')->selectRaw('person_id, min(first_at) as first_at')
            ->havingRaw('min(first_at) between ? and ?', [Happening::stamp($this->clock->plusDays($from, -$days)), Happening::stamp($this->clock->plusDays($to, -$days))])->orderBy('person_id')->limit(Happening::MOST)->get();
        $hold = Pass::query()->whereIn('person_id', $looked->pluck('person_id')->all())->pluck('person_id')->flip();
        $found = [];
        foreach ($looked as $one) {
            $person = Value::int($one->person_id);
            if (! $hold->has($person)) {
                $found[] = new Happening("samples {$person}", $person, $this->clock->plusDays(strtotime(Value::text($one->first_at).' UTC') ?: $to, $days), Say::text('triggers.cause.only-samples', ['days' => $days]));
            }
        }

        return $found;
    }
}
