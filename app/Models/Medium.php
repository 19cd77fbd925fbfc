<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * A picture, recording, video or file of a lesson. Only ever sent once the core has said that the item is open.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property string $kind image, audio, video or file
 * @property string $title
 * @property string $name of the file, as it is downloaded
 * @property string $path below storage/app
 * @property string $type of its content, as RFC 6838 names it
 * @property int $bytes
 * @property ?float $seconds how long it plays
 * @property ?int $width of a picture, in pixels; null: it is none, or that is not known
 * @property ?int $height likewise
 * @property ?string $captions WebVTT: what is said in it
 * @property ?string $captions_language
 * @property ?string $poster path below storage/app of what stands there before it plays
 * @property ?string $poster_type
 * @property int $position
 * @property Course $course
 */
final class Medium extends Record
{
    protected $table = 'media';

    protected $guarded = [];

    protected $casts = ['seconds' => 'float'];

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /** Of the file, for programs that know no letters beyond ASCII. */
    public function fallbackName(): string
    {
        return preg_replace('/[^A-Za-z0-9._-]+/', '-', Str::ascii($this->name)) ?? 'file';
    }
}
