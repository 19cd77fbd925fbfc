<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * That somebody looked at an item on a day, or met its closed door.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property string $met the kind of closed door; empty: it was open
 * @property string $day `2026-03-10`, in UTC
 * @property int $times a minute apart at least; of a closed door once a session
 * @property \DateTimeImmutable $first_at
 * @property \DateTimeImmutable $last_at
 */
final class DayVisit extends Record
{
    protected $table = 'visits';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['first_at' => UtcInstant::class, 'last_at' => UtcInstant::class];
}
