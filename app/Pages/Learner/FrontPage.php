<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Front\ShownCover;
use OpenApi\Attributes as OA;

/** The front of the school: its own words, and its courses. */
#[OA\Schema]
final readonly class FrontPage
{
    /**
     * @param  string  $heading  the school's own words; where it has none, its name
     * @param  ?ShownCover  $picture  null: that of the program
     * @param  list<string>  $subjects  of the courses that are shown
     * @param  list<FrontCourse>  $courses
     * @param  ?FrontPart  $part  of very many; null: all of them are shown
     * @param  list<OtherCourse>  $over  that are over, and are named all the same
     */
    public function __construct(
        #[OA\Property] public string $heading,
        #[OA\Property] public string $text,
        #[OA\Property] public ?ShownCover $picture,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $subjects,
        #[OA\Property(items: new OA\Items(ref: FrontCourse::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: OtherCourse::class))] public array $over,
        #[OA\Property] public ?FrontPart $part,
    ) {
    }
}
