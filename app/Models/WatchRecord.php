<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * How much of a video somebody has watched, as the server believes it.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property int $medium_id
 * @property float $length of the video, in seconds
 * @property string $played as the video profile of xAPI writes segments
 * @property float $position seconds; where the player stood when it last reported
 * @property float $spare seconds of the margin of reports that are left
 * @property \DateTimeImmutable $heard_at of the last report, or opening
 */
final class WatchRecord extends Record
{
    protected $table = 'watches';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['length' => 'float', 'spare' => 'float', 'position' => 'float', 'heard_at' => UtcInstant::class];
}
