<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** Tokens with which systems of others may ask. */
#[OA\Schema]
final readonly class TokensPage
{
    /**
     * @param  list<TokenRow>  $tokens  by name
     * @param  ?int  $open  the one that is looked at
     * @param  ?string  $secret  what is sent by whoever asks: shown once, after it was made
     * @param  string  $usualEnd  wall-clock date that a new one is proposed to end on
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: TokenRow::class))] public array $tokens,
        #[OA\Property] public ?int $open,
        #[OA\Property] public ?string $secret,
        #[OA\Property] public string $usualEnd,
    ) {
    }
}
