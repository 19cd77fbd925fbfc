<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** The simulated checkout of an offer: what is taken, or why it cannot be. */
#[OA\Schema]
final readonly class CheckoutPage
{
    /**
     * @param  string  $lasts  from when and until when a pass of it is
     * @param  string  $course  to which one comes back
     * @param  list<string>  $includes  what a bundle gives, line by line
     * @param  string  $buy  where the form is sent
     * @param  ?string  $item  to which one comes back
     * @param  bool  $free  nothing is paid
     * @param  ?string  $instead  what happens to what they hold already; null: nothing
     * @param  ?string  $refusal  why it cannot be taken, in one sentence; null: it can
     * @param  ?string  $closing  the words at the end of the course, where it is over
     * @param  string  $shown  what is sold here to this buyer, to be sent back with the form
     * @param  ?string  $holder  name of who is signed in
     * @param  string  $signIn  where to sign in and come back here
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $courseTitle,
        #[OA\Property] public string $buy,
        #[OA\Property] public string $name,
        #[OA\Property] public string $price,
        #[OA\Property] public string $lasts,
        #[OA\Property] public ?string $item,
        #[OA\Property] public ?string $itemTitle,
        #[OA\Property] public bool $free,
        #[OA\Property] public ?string $instead,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $includes,
        #[OA\Property] public ?string $refusal,
        #[OA\Property] public ?string $closing,
        #[OA\Property] public string $shown,
        #[OA\Property] public ?string $holder,
        #[OA\Property] public string $signIn,
    ) {
    }
}
