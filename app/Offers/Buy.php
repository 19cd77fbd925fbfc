<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Offer;
use App\Models\Person;
use App\People\Accounts\OpenAccount;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\ChosenPeople;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Gives what is bought or claimed to whoever does; of a visitor an account is opened with it, or neither is done. */
final readonly class Buy
{
    public function __construct(private Shop $shop, private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Terms $terms, private Takers $takers, private ActOnPeople $actOn, private OpenAccount $open)
    {
    }

    /**
     * @param  Person|array{name: string, email: string}  $buyer  who is known, or what a visitor typed
     * @param  ?string  $once  made by the form that asks for it: twice the same is done once, also where both come at the same moment
     * @param  ?string  $shown  what the form was about, {@see Taking::fingerprint()}; null: whatever it is now
     * @return Person who holds it now
     *
     * @throws CannotAct if they may not take it, or it is something else by now than they were shown
     */
    public function __invoke(Offer $offer, Person|array $buyer, ?string $once, ?string $shown = null): Person
    {
        $once = $once === null ? null : "bought {$once}";

        return DB::transaction(function () use ($offer, $buyer, $once, $shown): Person {
            $person = $buyer instanceof Person ? $buyer : ($once === null ? null : $this->shop->visitorWhoBought($once)) ?? ($this->open)($buyer['name'], $buyer['email'], Say::text('letters.address.to_buy', ['offer' => $offer->name]));
            ($this->actOn)(new TakeOffer($this->plans, $this->viewers, $this->clock, $this->terms, $this->takers, $offer, $shown), ChosenPeople::named([$person->id]), $person, $once);

            return $person;
        });
    }
}
