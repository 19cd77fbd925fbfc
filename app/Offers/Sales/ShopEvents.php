<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\ShopEvent;
use App\Offers\Memberships;
use App\People\ActOnPeople;
use App\People\ChosenPeople;
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
    public function __construct(private SchoolClock $clock, private Memberships $memberships, private ActOnPeople $actOn, private Mailer $mailer)
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
        return DB::transaction(function () use ($event, $purchase, $kind, $payment): ShopEvent {
            $known = ShopEvent::query()->where('event', $event)->first();
            if ($known !== null) {
                return $known;
            }
            $of = Purchase::query()->with(['person', 'offer', 'bundle'])->findOrFail($purchase);
            $did = match (true) {
                $of->state === 'refunded' => 'nothing: it was refunded',
                $kind === 'refund' => $this->refund($of),
                $of->every === null => 'nothing: it is paid for once',
                $kind === 'payment' => $this->payment($of, $payment ?? $of->payments + 1),
                default => $this->missed($of, $payment ?? $of->payments + 1),
            };

            return ShopEvent::query()->create(['event' => $event, 'purchase_id' => $of->id, 'kind' => $kind, 'payment' => $kind === 'refund' ? null : $payment, 'did' => $did, 'received_at' => $this->clock->now()]);
        });
    }

    private function payment(Purchase $of, int $payment): string
    {
        if ($payment <= $of->payments) {
            return "nothing: payment {$payment} was there already";
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
            $this->allGaveWay($of) => 'nothing now: they hold an upgrade in its place; paid to '.$this->clock->words($until),
            $over => 'they are back, paid to '.$this->clock->words($until),
            default => 'paid to '.$this->clock->words($until),
        };
    }

    private function missed(Purchase $of, int $payment): string
    {
        if ($payment <= $of->payments) {
            return "nothing: payment {$payment} has come by now";
        }
        $ends = $this->memberships->passUntil($of->paid_until?->getTimestamp() ?? $this->clock->now());
        $of->update(['state' => 'missed']);
        if ($this->allGaveWay($of)) {
            return 'nothing: they hold an upgrade in its place';
        }
        $this->mailer->send([new Letter(
            $of->person_id, $of->person->address(), Say::text('letters.missed.subject', ['offer' => $of->name()]),
            Say::text('letters.missed.body', ['name' => $of->person->name, 'offer' => $of->name(), 'at' => $this->clock->words($ends), 'zone' => $this->clock->zoneName()]),
            "missed {$of->id} {$payment}",
        )]);

        return 'they were written to; it ends '.$this->clock->words($ends);
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

        return $touched === 0 ? 'nothing was left to withdraw' : ($passes === 1 ? 'its pass was withdrawn' : "its {$passes} passes were withdrawn");
    }
}
