<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property \DateTimeImmutable $starts_at
 * @property ?\DateTimeImmutable $ends_at
 */
final class Grant extends Record
{
    protected $table = 'grants';

    protected $guarded = [];

    protected $casts = ['starts_at' => UtcInstant::class, 'ends_at' => UtcInstant::class];
}
