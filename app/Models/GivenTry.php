<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * One more try at a quiz than its rules give, and without waiting for it.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property int $tried so often they had until then
 * @property \DateTimeImmutable $given_at
 */
final class GivenTry extends Record
{
    protected $table = 'given_tries';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['given_at' => UtcInstant::class];
}
