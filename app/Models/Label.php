<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * @property int $person_id
 * @property int $id
 * @property string $label
 * @property string $source what gave it
 * @property ?\DateTimeImmutable $starts_at null: held since ever
 * @property ?\DateTimeImmutable $ends_at the first instant at which it is not held any more; null: for good
 */
final class Label extends Record
{
    protected $table = 'labels';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['starts_at' => UtcInstant::class, 'ends_at' => UtcInstant::class];
}
