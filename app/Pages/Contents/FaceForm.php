<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** What a course shows of itself, as its form edits it. */
#[OA\Schema]
final readonly class FaceForm
{
    /**
     * @param  string  $about  Markdown
     * @param  string  $outcomes  a line each
     * @param  list<FaceQuestion>  $questions
     * @param  list<string>  $subjects  that the school has
     * @param  string  $cover  token of a picture; empty: it is drawn
     * @param  string  $drawing  empty: that of its key
     * @param  list<DrawingChoice>  $drawings  the first that of its key
     * @param  int  $version  0: nothing was said yet
     */
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $about,
        #[OA\Property] public string $outcomes,
        #[OA\Property(items: new OA\Items(ref: FaceQuestion::class))] public array $questions,
        #[OA\Property] public string $subject,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $subjects,
        #[OA\Property] public string $cover,
        #[OA\Property] public int $focusX,
        #[OA\Property] public int $focusY,
        #[OA\Property] public string $drawing,
        #[OA\Property(items: new OA\Items(ref: DrawingChoice::class))] public array $drawings,
        #[OA\Property] public string $contactName,
        #[OA\Property] public string $contactEmail,
        #[OA\Property] public int $version,
    ) {
    }
}
