<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use OpenApi\Attributes as OA;

/** What would come of taking a file back. */
#[OA\Schema]
final readonly class ImportBack
{
    /**
     * @param  list<string>  $goes  counts in words
     * @param  list<string>  $stays  likewise
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $goes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $stays,
    ) {
    }
}
