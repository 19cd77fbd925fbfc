<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A picture of the school's own, for its public pages. It was drawn anew from what was uploaded: nothing else of that file is left.
 *
 * @property int $id
 * @property string $token part of its address
 * @property string $title what it shows, for whoever does not see it
 * @property int $width in pixels, of the widest
 * @property int $height
 * @property list<int> $widths in which it is kept, the smallest first
 * @property int $bytes of all of them
 * @property ?int $made_by
 * @property \DateTimeImmutable $made_at
 */
final class Picture extends Record
{
    protected $table = 'pictures';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['widths' => 'array', 'made_at' => UtcInstant::class];

    /** Below storage/app. */
    public static function path(string $token, int $width): string
    {
        return "media/pictures/{$token}-{$width}.webp";
    }

    /** @return list<string> */
    public function paths(): array
    {
        return array_map(fn (int $width): string => self::path($this->token, $width), $this->widths);
    }
}
