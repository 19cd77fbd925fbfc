<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use OpenApi\Attributes as OA;

/** What must be finished first, as it is edited. */
#[OA\Schema]
final readonly class AfterRule
{
    /**
     * @param  string  $mode  all, any or at_least
     * @param  list<string>  $of  items by key
     * @param  ?int  $count  with at_least
     * @param  bool  $inOrder  what is inside a module comes one after the other
     */
    public function __construct(
        #[OA\Property] public string $mode,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $of,
        #[OA\Property] public ?int $count,
        #[OA\Property] public bool $inOrder,
    ) {
    }
}
