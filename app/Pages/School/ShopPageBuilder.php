<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\ShopEvent;
use App\Offers\Memberships;
use App\Offers\Sales\Prices;
use App\People\PassWords;
use App\People\PeopleFilter;
use App\Words\Say;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Puts together what the stand-in for a shop has sold and told. */
final readonly class ShopPageBuilder
{
    private const PER_PAGE = 50;

    private const EVENTS = 30;

    public function __construct(private SchoolClock $clock, private PassWords $words, private Memberships $memberships)
    {
    }

    /** @param  ?string  $find  part of a name or an address; null: everybody */
    public function page(int $page, ?string $find): ShopPage
    {
        $total = $this->purchases($find)->count();
        $purchases = $this->purchases($find)->with(['person', 'offer', 'bundle'])->orderByDesc('id')->forPage($page, self::PER_PAGE)->get();
        $passes = Pass::query()->with('offer')->whereIn('purchase_id', $purchases->modelKeys())->orderBy('id')->get()->groupBy('purchase_id');
        $rows = [];
        foreach ($purchases as $purchase) {
            // What the school has taken back has left no pass, and nothing to tell of.
            $its = $passes->get($purchase->id)?->all() ?? [];
            $standing = $its === [] ? Say::text('pages.shop_page_builder.taken_back') : $this->standing($purchase, array_values($its));
            $ended = $purchase->state === 'refunded' || $its === [];
            $rows[] = new PurchaseRow(
                $purchase->id, $this->clock->words($purchase->bought_at->getTimestamp()), $purchase->person_id, $purchase->person->name, $purchase->name(),
                Prices::words($purchase->cents, $purchase->currency, $purchase->every), $standing,
                array_values(array_map($this->words->short(...), $its)),
                $purchase->every === null || $ended ? null : $purchase->payments + 1,
                ! $ended,
            );
        }

        $events = ShopEvent::query()->when($find !== null, fn (Builder $query) => $query->whereIn('purchase_id', $this->purchases($find)->select('id')));

        return new ShopPage($rows, $this->events($events->clone()->orderByDesc('id')->limit(self::EVENTS)->get()), $events->count(), $total, $page, max(1, (int) ceil($total / self::PER_PAGE)), $find);
    }

    /** @param  list<Pass>  $passes  that it gave */
    private function standing(Purchase $purchase, array $passes): string
    {
        $paidUntil = $purchase->paid_until?->getTimestamp();
        if ($purchase->state === 'refunded') {
            return 'refunded';
        }
        if (array_filter($passes, fn (Pass $pass): bool => ! $pass->gaveWay($this->clock->now())) === []) {
            return Say::text('pages.shop_page_builder.upgrade_holds_its_place');
        }
        if ($paidUntil === null) {
            return 'paid';
        }
        $ends = $this->memberships->passUntil($paidUntil);

        return match (true) {
            $ends <= $this->clock->now() => Say::text('pages.shop_page_builder.ended_when', ['when' => $this->clock->words($ends)]),
            $purchase->state === 'missed' => Say::text('pages.shop_page_builder.payment_was_missed_ends', ['when' => $this->clock->words($ends)]),
            default => Say::text('pages.shop_page_builder.paid_to_when', ['when' => $this->clock->words($paidUntil)]),
        };
    }

    /** @return Builder<Purchase> */
    private function purchases(?string $find): Builder
    {
        return Purchase::query()->when($find !== null, fn (Builder $query) => $query->whereIn('person_id', (new PeopleFilter(find: (string) $find))->query($this->clock->now(), [])->reorder()->select('people.id')));
    }

    /**
     * @param  Collection<int, ShopEvent>  $found
     * @return list<ShopEventRow>
     */
    private function events(Collection $found): array
    {
        $events = [];
        $purchases = Purchase::query()->with(['person', 'offer', 'bundle'])->whereIn('id', $found->pluck('purchase_id')->all())->get()->keyBy('id');
        foreach ($found as $event) {
            $purchase = $purchases->get($event->purchase_id);
            $what = match ($event->kind) {
                'payment' => Say::text('pages.shop_page_builder.payment_payment_came', ['payment' => $event->payment ?? 'next']),
                'missed' => Say::text('pages.shop_page_builder.payment_payment_did_not', ['payment' => $event->payment ?? 'next']),
                default => 'Refunded',
            };
            $events[] = new ShopEventRow($event->id, $this->clock->words($event->received_at->getTimestamp()), "{$what}: ".($purchase === null ? '' : "{$purchase->name()}, {$purchase->person->name}"), $event->did);
        }

        return $events;
    }
}
