<?php

declare(strict_types=1);

namespace App\School\Pictures;

use App\Models\Picture;
use OpenApi\Attributes as OA;

/** A picture as a page shows it: in several widths, of which the browser takes the one that fits. */
#[OA\Schema]
final readonly class ShownPicture
{
    /**
     * @param  string  $token  what stands for it in the words of a page
     * @param  string  $title  what it shows, for whoever does not see it
     * @param  string  $sources  as `srcset` has it
     */
    public function __construct(
        #[OA\Property] public string $token,
        #[OA\Property] public string $title,
        #[OA\Property] public string $address,
        #[OA\Property] public string $sources,
        #[OA\Property] public int $width,
        #[OA\Property] public int $height,
    ) {
    }

    public static function of(Picture $picture): self
    {
        $at = static fn (int $width): string => route('picture', ['token' => $picture->token, 'width' => $width], false);

        return new self($picture->token, $picture->title, $at($picture->width), implode(', ', array_map(static fn (int $width): string => "{$at($width)} {$width}w", $picture->widths)), $picture->width, $picture->height);
    }
}
