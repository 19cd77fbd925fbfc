<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** What the stand-in for a mailing list holds, a page of it. */
#[OA\Schema]
final readonly class MailingListPage
{
    /**
     * @param  list<ListContactRow>  $contacts  by name
     * @param  list<string>  $labels  all there are
     * @param  ?string  $label  the one that is looked at; null: all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: ListContactRow::class))] public array $contacts,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property] public ?string $label,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {
    }
}
