<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * That somebody has looked at an item.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property string $via the route by which it was open when it was first looked at
 * @property \DateTimeImmutable $first_at
 * @property \DateTimeImmutable $last_at
 */
final class ItemVisit extends Record
{
    protected $table = 'looks';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['first_at' => UtcInstant::class, 'last_at' => UtcInstant::class];
}
