<?php

declare(strict_types=1);

namespace App\Pages\Learner\Outside;

use App\Front\ShownCover;
use OpenApi\Attributes as OA;

/** What a course shows of itself, and whom to ask. */
#[OA\Schema]
final readonly class CourseFaceTold
{
    /**
     * @param  string  $about  sanitised
     * @param  list<string>  $outcomes  what one will be able to do
     * @param  list<AskedQuestion>  $questions
     * @param  string  $takes  how much there is of it
     * @param  ?string  $season  when it runs; null: at any time
     * @param  list<string>  $holds  what each row of the outline takes
     */
    public function __construct(
        #[OA\Property] public ShownCover $cover,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $about,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $outcomes,
        #[OA\Property(items: new OA\Items(ref: AskedQuestion::class))] public array $questions,
        #[OA\Property] public string $takes,
        #[OA\Property] public ?string $season,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $holds,
        #[OA\Property] public ?string $contactName,
        #[OA\Property] public ?string $contactEmail,
    ) {
    }
}
