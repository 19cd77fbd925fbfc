<?php

declare(strict_types=1);

namespace App\School\Pictures;

use App\Models\Picture;

/** The pictures of the school, by what stands for each in the words of a page. */
final readonly class Pictures
{
    /** So many are offered to be used again. */
    private const OFFERED = 60;

    /** Null where there is none, or not any more. */
    public function find(string $token): ?ShownPicture
    {
        return $this->all([$token])[$token] ?? null;
    }

    /**
     * One query.
     *
     * @param  list<string>  $tokens
     * @return array<array-key, ShownPicture> by token
     */
    public function all(array $tokens): array
    {
        $shown = [];
        foreach ($tokens === [] ? [] : Picture::query()->whereIn('token', $tokens)->get() as $picture) {
            $shown[$picture->token] = ShownPicture::of($picture);
        }

        return $shown;
    }

    /** @return list<ShownPicture> the latest first */
    public function latest(): array
    {
        return array_values(Picture::query()->orderByDesc('id')->limit(self::OFFERED)->get()->map(ShownPicture::of(...))->all());
    }
}
