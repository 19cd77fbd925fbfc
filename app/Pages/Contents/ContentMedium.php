<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** A picture, recording, video or file that an item holds. */
#[OA\Schema]
final readonly class ContentMedium
{
    /**
     * @param  string  $detail  kind, size and length, in words
     * @param  string  $href  signed; for whoever edits alone, and not for long
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['image', 'audio', 'video', 'file'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $href,
        #[OA\Property] public ?string $poster,
        #[OA\Property] public bool $captions,
        #[OA\Property] public string $language,
    ) {
    }
}
