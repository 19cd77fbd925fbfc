<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** What an empty school is asked first. */
#[OA\Schema]
final readonly class BeginPage
{
    /**
     * @param  string  $code  by which the page was opened
     * @param  list<string>  $zones  IANA names
     */
    public function __construct(#[OA\Property] public string $code, #[OA\Property(items: new OA\Items(type: 'string'))] public array $zones)
    {
    }
}
