<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property \DateTimeImmutable $completed_at
 */
final class Completion extends Record
{
    protected $table = 'completions';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['completed_at' => UtcInstant::class];
}
