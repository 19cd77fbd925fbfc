<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Words\Sentence;
use App\Words\SentencePart;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\CourseState;

/** What stands above the grid. */
#[OA\Schema]
final readonly class CourseHead
{
    /**
     * @param  string  $state  draft, live or retired
     * @param  list<SentencePart>  $doors  who gets in
     * @param  int  $draftVersion  0 while there is no draft
     * @param  int  $edits  how many can be undone
     * @param  int  $undone  how many can be redone
     * @param  ?string  $goesLive  the time set for the draft, in words
     * @param  bool  $goesLiveAsIs  the draft has not been changed since that time was set
     * @param  list<Sentence>  $findings  what looks like a mistake in how it is sold
     * @param  ?string  $notPublished  why the draft did not go live when it should have
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: CourseState::class)] public string $state,
        #[OA\Property(items: new OA\Items(ref: SentencePart::class))] public array $doors,
        #[OA\Property] public ?int $revision,
        #[OA\Property] public int $draftVersion,
        #[OA\Property] public int $edits,
        #[OA\Property] public int $undone,
        #[OA\Property] public ?string $goesLive,
        #[OA\Property] public bool $goesLiveAsIs,
        #[OA\Property] public ?string $notPublished,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $findings,
    ) {
    }
}
