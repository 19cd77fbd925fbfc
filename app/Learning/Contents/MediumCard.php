<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use OpenApi\Attributes as OA;

/** A picture, recording, video or file of an open item, at an address of its own for whoever looks. */
#[OA\Schema]
final readonly class MediumCard
{
    /**
     * @param  string  $kind  image, audio, video or file
     * @param  string  $href  signed; for this viewer alone, and not for long
     * @param  string  $size  in words
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['image', 'audio', 'video', 'file'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $href,
        #[OA\Property] public string $size,
    ) {
    }
}
