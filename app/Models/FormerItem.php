<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What was taken out of a course.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property \DateTimeImmutable $taken_out_at
 * @property ?\DateTimeImmutable $let_go_at when what it held was let go of; null: it is kept, or was brought back
 */
final class FormerItem extends Record
{
    protected $table = 'former_items';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_out_at' => UtcInstant::class, 'let_go_at' => UtcInstant::class];
}
