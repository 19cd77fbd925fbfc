<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use App\Models\PaidEvery;
use App\Models\TakenAgain;
use OpenApi\Attributes as OA;

/** An offer of a course: how it is sold, and what its passes open. */
#[OA\Schema]
final readonly class OfferRow
{
    /**
     * @param  ?float  $price  in whole units; 0: free, null: not sold
     * @param  string  $priceWords
     * @param  string  $labels  divided by commas
     * @param  ?string  $tier
     * @param  ?string  $plan  null: all at once
     * @param  ?list<string>  $scope  item keys; null: the whole course
     * @param  string  $lasts  good, days or until
     * @param  string  $lastsWords
     * @param  int  $holders  people who hold an active pass of it
     * @param  bool  $live  whether it is published
     * @param  list<ModuleReach>  $opens  by module
     * @param  list<string>  $edited  what the draft says otherwise than what is published: tier, plan, scope, lasts, labels
     * @param  list<string>  $terms  who may take it, in words
     * @param  list<string>  $notAfter  keys of offers
     * @param  ?string  $soldFrom  wall-clock time of the school
     * @param  ?string  $soldUntil  likewise
     * @param  ?string  $every  how often it is paid for; null: once
     * @param  ?float  $upgradePrice  in whole units; null: as for others
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public ?float $price,
        #[OA\Property] public string $currency,
        #[OA\Property] public string $priceWords,
        #[OA\Property] public string $labels,
        #[OA\Property] public bool $trial,
        #[OA\Property] public bool $erases,
        #[OA\Property] public ?string $tier,
        #[OA\Property] public ?string $plan,
        #[OA\Property(items: new OA\Items(type: 'string'))] public ?array $scope,
        #[OA\Property] public string $lasts,
        #[OA\Property] public ?int $days,
        #[OA\Property] public ?string $until,
        #[OA\Property] public string $lastsWords,
        #[OA\Property] public int $holders,
        #[OA\Property] public bool $live,
        #[OA\Property(items: new OA\Items(ref: ModuleReach::class))] public array $opens,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $edited,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $terms,
        #[OA\Property(enum: TakenAgain::class)] public string $again,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $notAfter,
        #[OA\Property] public bool $notAfterCourse,
        #[OA\Property] public ?string $onlyLabel,
        #[OA\Property] public ?int $most,
        #[OA\Property] public ?string $soldFrom,
        #[OA\Property] public ?string $soldUntil,
        #[OA\Property] public ?float $upgradePrice,
        #[OA\Property(enum: PaidEvery::class)] public ?string $every,
    ) {
    }
}
