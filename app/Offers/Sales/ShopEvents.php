<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\SchoolClock;
use App\Database\Hand;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\ShopEvent;
use App\Offers\Memberships;
use App\People\ActOnPeople;
use App\People\ChosenPeople;
use App\School\Letters\InTheirLanguage;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * What the shop tells after a purchase: a payment, one that did not come, a refund. The same event twice is one, and in whatever
 * order they come the same stands at the end: payments are counted by the shop, and what is refunded stays so.
 */
final readonly class ShopEvents
{
    public function __construct(private SchoolClock $clock, private Memberships $memberships, private ActOnPeople $actOn, private Mailer $mailer, private InTheirLanguage $language)
    {
    }

    /**
     * @param  string  $event  as the shop numbers it
     * @param  'payment'|'missed'|'refund'  $kind
     * @param  ?int  $payment  which one it is about, the first being 1; not of a refund
     * @return ShopEvent with what came of it
     */
    public function receive(string $event, int $purchase, string $kind, ?int $payment): ShopEvent
    {
        return Hand::writes('shop', "purchase {$purchase}", fn (): ShopEvent => DB::transaction(function () use ($event, $purchase, $kind, $payment): ShopEvent {
            $known = ShopEvent::query()->where('event', $event)->first();
            if ($known !== null) {
                return $known;
            }
            $of = Purchase::query()->with(['person', 'offer', 'bundle'])->findOrFail($purchase);
            // The shop may leave open which one it is: then it is the next.
            $number = $kind === 'refund' ? null : $payment ?? $of->payments + 1;
            $did = match (true) {
                $of->state === 'refunded' => 'nothing: it was refunded',
                $kind === 'refund' => $this->refund($of),
                $of->every === null => 'nothing: it is paid for once',
                $kind === 'payment' => $this->payment($of, (int) $number),
                default => $this->missed($of, (int) $number),
            };

            return ShopEvent::query()->create(['event' => $event, 'purchase_id' => $of->id, 'kind' => $kind, 'payment' => $number, 'did' => $did, 'received_at' => $this->clock->now()]);
        }));
    }

    private function payment(Purchase $of, int $payment): string
    {
        if ($payment <= $of->payments) {
            return Say::text('terms.shop_events.nothing_payment_payment_was', ['payment' => $payment]);
        }
        $now = $this->clock->now();
        $every = $of->every ?? throw new \LogicException('Only a membership is paid for again.');
        $over = $of->paid_until === null || $this->memberships->passUntil($of->paid_until->getTimestamp()) <= $now;
        if ($over) {
            // Who comes back pays from that day on.
            $of->fill(['counts_from' => $now, 'counts_after' => $payment - 1]);
        }
        $until = $this->memberships->paidUntil($of->counts_from?->getTimestamp() ?? $now, $every, $payment - $of->counts_after);
        $of->fill(['payments' => $payment, 'state' => 'paid', 'paid_until' => $until])->save();
        ($this->actOn)(ChangePurchase::carryOn($of, $this->memberships->passUntil($until), $now), ChosenPeople::named([$of->person_id]), null);

        return match (true) {
            $this->allGaveWay($of) => Say::text('terms.shop_events.nothing_now_they_hold', ['when' => $this->clock->words($until)]),
            $over => Say::text('terms.shop_events.they_back_paid_when', ['when' => $this->clock->words($until)]),
            default => Say::text('terms.shop_events.paid_to_when', ['when' => $this->clock->words($until)]),
        };
    }

    private function missed(Purchase $of, int $payment): string
    {
        if ($payment <= $of->payments) {
            return Say::text('terms.shop_events.nothing_payment_payment_has', ['payment' => $payment]);
        }
        $ends = $this->memberships->passUntil($of->paid_until?->getTimestamp() ?? $this->clock->now());
        $of->update(['state' => 'missed']);
        if ($this->allGaveWay($of)) {
            return Say::text('terms.shop_events.nothing_they_hold_upgrade');
        }
        $this->mailer->send([$this->language->say($of->person, fn (): Letter => new Letter(
            $of->person_id, $of->person->address(), Say::text('letters.missed.subject', ['offer' => $of->name()]),
            Say::text('letters.missed.body', ['name' => $of->person->name, 'offer' => $of->name(), 'at' => $this->clock->plain($ends), 'zone' => $this->clock->zoneName()]),
            "missed {$of->id} {$payment}",
        ))]);

        return Say::text('terms.shop_events.they_were_written_ends', ['when' => $this->clock->words($ends)]);
    }

    /** Whether upgrades have taken the place of all that it gave. */
    private function allGaveWay(Purchase $of): bool
    {
        $passes = Pass::query()->where('purchase_id', $of->id)->where('state', '!=', 'revoked')->get();

        return $passes->isNotEmpty() && $passes->every(fn (Pass $pass): bool => $pass->gaveWay($this->clock->now()));
    }

    private function refund(Purchase $of): string
    {
        $of->update(['state' => 'refunded']);
        [, $touched] = ($this->actOn)(ChangePurchase::withdraw($of, $this->clock->now()), ChosenPeople::named([$of->person_id]), null);
        $passes = Pass::query()->where('purchase_id', $of->id)->count();

        return $touched === 0 ? Say::text('terms.shop_events.nothing_was_left_withdraw') : ($passes === 1 ? Say::text('terms.shop_events.its_pass_was_withdrawn') : Say::text('terms.shop_events.its_passes_passes_were', ['passes' => $passes]));
    }
}
