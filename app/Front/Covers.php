<?php

declare(strict_types=1);

namespace App\Front;

use App\Models\CourseFace;
use App\School\Pictures\Pictures;
use App\School\Pictures\ShownPicture;

/** The covers of courses: the picture that the school chose, else one drawn by us. */
final readonly class Covers
{
    public function __construct(private Pictures $pictures)
    {
    }

    /**
     * One query.
     *
     * @param  array<array-key, CourseFace>  $faces
     * @param  array<array-key, string>  $keys  of the courses, by what the faces are kept by
     * @return array<array-key, ShownCover> likewise
     */
    public function all(array $faces, array $keys): array
    {
        $pictures = $this->pictures->all(array_values(array_filter(array_map(static fn (CourseFace $face): string => $face->cover, $faces), static fn (string $token): bool => $token !== '')));
        $covers = [];
        foreach ($keys as $id => $key) {
            $face = $faces[$id] ?? null;
            $covers[$id] = self::shown($pictures[$face->cover ?? ''] ?? null, $face->focus_x ?? 50, $face->focus_y ?? 50, DrawnCover::of($key, $face->drawing ?? ''));
        }

        return $covers;
    }

    public function of(?CourseFace $face, string $key): ShownCover
    {
        return $this->all($face === null ? [] : [$face], [$key])[0];
    }

    public static function shown(?ShownPicture $picture, int $x, int $y, DrawnCover $drawn): ShownCover
    {
        return $picture === null
            ? new ShownCover(self::address($drawn), null, '', '50% 50%')
            : new ShownCover($picture->address, $picture->sources, $picture->title, "{$x}% {$y}%");
    }

    public static function address(DrawnCover $drawn): string
    {
        return route('cover', ['drawing' => $drawn->drawing->value, 'variant' => $drawn->variant], false);
    }
}
