<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use App\Access\Shelf\CoursePick;
use OpenApi\Attributes as OA;

/** What the lessons and boards of a course hold. */
#[OA\Schema]
final readonly class ContentsPage
{
    /**
     * @param  list<ContentRow>  $items
     * @param  ?RelatedForm  $related  null: here it cannot stand
     * @param  list<CoursePick>  $courses  others, that can be offered
     * @param  ?FaceForm  $face  what the course shows of itself, where that is worked on
     * @param  ?ContentForm  $open  otherwise an item
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property(items: new OA\Items(ref: ContentRow::class))] public array $items,
        #[OA\Property] public ?FaceForm $face,
        #[OA\Property] public ?ContentForm $open,
        #[OA\Property] public bool $mayEdit,
        #[OA\Property] public ?RelatedForm $related,
        #[OA\Property(items: new OA\Items(ref: CoursePick::class))] public array $courses,
    ) {
    }
}
