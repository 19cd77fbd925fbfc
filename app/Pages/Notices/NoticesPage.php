<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use OpenApi\Attributes as OA;

/** What people meet at closed doors: in the whole school, or in one course. */
#[OA\Schema]
final readonly class NoticesPage
{
    /**
     * @param  ?string  $course  its key; null: the whole school
     * @param  ?string  $title  of the course
     * @param  list<NoticeRow>  $notices
     * @param  list<PlaceholderRow>  $placeholders
     * @param  string  $open  the case that is worked on
     */
    public function __construct(
        #[OA\Property] public ?string $course,
        #[OA\Property] public ?string $title,
        #[OA\Property(items: new OA\Items(ref: NoticeRow::class))] public array $notices,
        #[OA\Property(items: new OA\Items(ref: PlaceholderRow::class))] public array $placeholders,
        #[OA\Property] public string $open,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
