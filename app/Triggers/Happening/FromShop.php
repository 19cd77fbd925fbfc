<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Models\Purchase;
use App\Models\ShopEvent;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;
use App\Words\Say;
use Illuminate\Database\Eloquent\Builder;

/** What was bought or claimed, and what the shop told of it afterwards. */
final readonly class FromShop
{
    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        return $when->kind() === EventKind::OfferTaken ? $this->taken($when, $from, $to) : $this->told($when, $from, $to);
    }

    /** @return list<Happening> */
    private function taken(When $when, int $from, int $to): array
    {
        $bought = Purchase::query()->with(['offer', 'bundle'])->whereBetween('bought_at', [Happening::stamp($from), Happening::stamp($to)])->tap(self::ofOffer($when))->orderBy('id')->limit(Happening::MOST)->get();

        return array_values($bought->map(static fn (Purchase $one): Happening => new Happening("taken {$one->id}", $one->person_id, $one->bought_at->getTimestamp(), Say::text('triggers.cause.offer-taken', ['offer' => $one->name()])))->all());
    }

    /** @return list<Happening> */
    private function told(When $when, int $from, int $to): array
    {
        $kind = $when->kind() === EventKind::Refunded ? 'refund' : 'missed';
        $events = ShopEvent::query()->where('kind', $kind)->whereBetween('received_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get();
        $purchases = Purchase::query()->with(['offer', 'bundle'])->whereIn('id', $events->pluck('purchase_id')->unique()->all())->tap(self::ofOffer($when))->get()->keyBy('id');
        $found = [];
        foreach ($events as $event) {
            $of = $purchases->get($event->purchase_id);
            if ($of !== null) {
                // Told twice under two numbers it is still the same payment, or the same refund.
                $found["{$kind} {$of->id} {$event->payment}"] ??= new Happening("{$kind} {$of->id} {$event->payment}", $of->person_id, $event->received_at->getTimestamp(), Say::text("triggers.cause.{$when->event}", ['offer' => $of->name()]));
            }
        }

        return array_values($found);
    }

    /** @return \Closure(Builder<Purchase>): void of that offer, by itself or in a bundle */
    private static function ofOffer(When $when): \Closure
    {
        return static function (Builder $query) use ($when): void {
            if ($when->offer !== null) {
                $query->where(static fn (Builder $of) => $of->whereRelation('offer', 'key', $when->offer)->orWhereHas('bundle.offers', static fn ($offers) => $offers->where('offers.key', $when->offer)));
            }
        };
    }
}
