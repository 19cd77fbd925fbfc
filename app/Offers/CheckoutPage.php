<?php

declare(strict_types=1);

namespace App\Offers;

use OpenApi\Attributes as OA;

/** The simulated checkout of an offer. */
#[OA\Schema]
final readonly class CheckoutPage
{
    /**
     * @param  ?string  $item  to which one comes back
     * @param  ?string  $itemTitle
     * @param  bool  $free  nothing is paid
     * @param  ?string  $holder  name of who is signed in
     * @param  string  $signIn  where to sign in and come back here
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $courseTitle,
        #[OA\Property] public string $offer,
        #[OA\Property] public string $name,
        #[OA\Property] public string $price,
        #[OA\Property] public string $lasts,
        #[OA\Property] public ?string $item,
        #[OA\Property] public ?string $itemTitle,
        #[OA\Property] public bool $free,
        #[OA\Property] public ?string $holder,
        #[OA\Property] public string $signIn,
    ) {
    }
}
