<?php

declare(strict_types=1);

namespace App\Offers;

use App\Models\Offer;
use App\Models\Person;
use App\People\Accounts\OpenAccount;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Gives what is bought or claimed to whoever does; of a visitor an account is opened with it, or neither is done. */
final readonly class Buy
{
    public function __construct(private Shop $shop, private PeopleActs $acts, private ActOnPeople $actOn, private OpenAccount $open)
    {
    }

    /**
     * @param  Person|array{name: string, email: string}  $buyer  who is known, or what a visitor typed
     * @param  ?string  $once  made by the form that asks for it: twice the same is done once, also where both come at the same moment
     * @return Person who holds it now
     *
     * @throws CannotAct
     */
    public function __invoke(Offer $offer, Person|array $buyer, ?string $once): Person
    {
        $once = $once === null ? null : "bought {$once}";

        return DB::transaction(function () use ($offer, $buyer, $once): Person {
            $person = $buyer instanceof Person ? $buyer : ($once === null ? null : $this->shop->visitorWhoBought($once)) ?? ($this->open)($buyer['name'], $buyer['email'], Say::text('letters.address.to_buy', ['offer' => $offer->name]));
            ($this->actOn)($this->acts->bought($offer), ChosenPeople::named([$person->id]), $person, $once);

            return $person;
        });
    }
}
