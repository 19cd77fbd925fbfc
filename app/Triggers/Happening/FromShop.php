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
        return match ($when->kind()) {
            EventKind::OfferTaken => $this->taken($when, $from, $to),
            EventKind::OfferRenewed => [...$this->again($when, $from, $to), ...$this->told($when, 'payment', $from, $to)],
            EventKind::Refunded => $this->told($when, 'refund', $from, $to),
            default => $this->told($when, 'missed', $from, $to),
        };
    }

    /** @return list<Happening> */
    private function taken(When $when, int $from, int $to): array
    {
        $bought = Purchase::query()->with(['offer', 'bundle'])->whereBetween('bought_at', [Happening::stamp($from), Happening::stamp($to)])->tap(self::ofOffer($when))->orderBy('id')->limit(Happening::MOST)->get();

        return array_values($bought->map(static fn (Purchase $one): Happening => new Happening("taken {$one->id}", $one->person_id, $one->bought_at->getTimestamp(), Say::text('triggers.cause.offer-taken', ['offer' => $one->name()])))->all());
    }

    /** @return list<Happening> of what is paid for once: bought by somebody who had bought it before */
    private function again(When $when, int $from, int $to): array
    {
        $before = static fn (\Illuminate\Database\Query\Builder $query) => $query->from('purchases as before')->whereColumn('before.person_id', 'purchases.person_id')->whereColumn('before.id', '<', 'purchases.id')->where('before.state', '!=', 'refunded')
            ->where(static fn ($same) => $same->whereColumn('before.offer_id', 'purchases.offer_id')->orWhereColumn('before.bundle_id', 'purchases.bundle_id'));
        $bought = Purchase::query()->with(['offer', 'bundle'])->whereNull('every')->whereBetween('bought_at', [Happening::stamp($from), Happening::stamp($to)])->whereExists($before)->tap(self::ofOffer($when))->orderBy('id')->limit(Happening::MOST)->get();

        return array_values($bought->map(static fn (Purchase $one): Happening => new Happening("renewed {$one->id}", $one->person_id, $one->bought_at->getTimestamp(), Say::text('triggers.cause.offer-renewed', ['offer' => $one->name()])))->all());
    }

    /**
     * @param  'payment'|'missed'|'refund'  $kind
     * @return list<Happening>
     */
    private function told(When $when, string $kind, int $from, int $to): array
    {
        // The first payment is the purchase itself.
        $events = ShopEvent::query()->where('kind', $kind)->when($kind === 'payment', static fn ($query) => $query->where('payment', '>', 1))->whereBetween('received_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get();
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
