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
     * @param  string  $size  and what kind of file it is, in words
     * @param  ?int  $width  of a picture, in pixels; null: it is none, or that is not known
     * @param  ?string  $poster  likewise signed: what stands there before it plays
     * @param  ?string  $captions  likewise: what is said in it
     * @param  ?string  $language  of what is said
     * @param  list<Cue>  $spoken  the same to be read
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['image', 'audio', 'video', 'file'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $href,
        #[OA\Property] public string $size,
        #[OA\Property] public ?int $width,
        #[OA\Property] public ?int $height,
        #[OA\Property] public ?string $poster,
        #[OA\Property] public ?string $captions,
        #[OA\Property] public ?string $language,
        #[OA\Property(items: new OA\Items(ref: Cue::class))] public array $spoken,
    ) {
    }
}
