<?php

declare(strict_types=1);

namespace App\Pages\Api\Progress;

use OpenApi\Attributes as OA;

/** Which versions of xAPI are spoken here. */
#[OA\Schema]
final readonly class AboutStatements
{
    /** @param  list<string>  $version */
    public function __construct(#[OA\Property(items: new OA\Items(type: 'string'))] public array $version)
    {
    }
}
