<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\SchoolClock;
use App\Models\ActRecord;
use App\Models\Person;
use App\Models\Purchase;
use App\People\Accounts\OpenAccount;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\ChosenPeople;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Gives what is bought or claimed to whoever does; of a visitor an account is opened with it, or neither is done. */
final readonly class Buy
{
    public function __construct(private Deals $deals, private SchoolClock $clock, private ActOnPeople $actOn, private OpenAccount $open)
    {
    }

    /**
     * @param  Person|array{name: string, email: string}  $buyer  who is known, or what a visitor typed
     * @param  ?string  $once  made by the form that asks for it: twice the same is done once, also where both come at the same moment
     * @param  ?string  $shown  what the form was about, {@see Deal::fingerprint()}; null: whatever it is now
     * @return Person who holds it now
     *
     * @throws CannotAct if they may not take it, or it is something else by now than they were shown
     */
    public function __invoke(Ware $ware, Person|array $buyer, ?string $once, ?string $shown = null): Person
    {
        $once = $once === null ? null : "bought {$once}";

        return DB::transaction(function () use ($ware, $buyer, $once, $shown): Person {
            $before = $once === null ? null : ActRecord::query()->where('once', $once)->value('actor_id');
            // Somebody else's form of the same number is another form.
            $bought = $before === null ? null : Person::query()->whereKey($before)->when(! $buyer instanceof Person, static fn ($query) => $query->whereNotNull('claimed_email'))->first();
            if ($bought !== null && (! $buyer instanceof Person || $buyer->id === $bought->id)) {
                return $bought;
            }
            $person = $buyer instanceof Person ? $buyer : ($this->open)($buyer['name'], $buyer['email'], static fn (): string => Say::text('letters.address.to_buy', ['offer' => $ware->name]));
            ($this->actOn)(new TakeWare($this->deals, $this->clock, $ware, $shown, $this->purchase($ware, $person)->id), ChosenPeople::named([$person->id]), $person, $once === null || $before === null ? $once : "{$once} by {$person->id}");

            return $person;
        });
    }

    private function purchase(Ware $ware, Person $person): Purchase
    {
        $deal = $this->deals->of($ware, $person);
        if ($deal->refusal !== null) {
            throw new CannotAct($deal->refusal, 'offer');
        }
        $now = $this->clock->now();

        return Purchase::query()->create([
            'person_id' => $person->id, 'offer_id' => $ware->bundle === null ? $ware->offers[0]->id : null, 'bundle_id' => $ware->bundle?->id,
            'cents' => $deal->cents, 'currency' => $ware->currency, 'every' => $ware->every, 'counts_from' => $ware->every === null ? null : $now, 'paid_until' => $deal->paidUntil, 'bought_at' => $now,
        ]);
    }
}
