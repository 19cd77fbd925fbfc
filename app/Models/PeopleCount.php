<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * Something counted on the holders of a course's passes, as far as they have been looked at.
 *
 * @property int $id
 * @property int $course_id
 * @property string $what is counted
 * @property string $stamp digest of what the count depends on
 * @property array<array-key, mixed> $result of those who were looked at
 * @property int $looked people
 * @property int $of
 * @property int $reached the last person who was looked at, by id
 * @property \DateTimeImmutable $began_at
 * @property ?\DateTimeImmutable $finished_at
 */
final class PeopleCount extends Record
{
    protected $table = 'people_counts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['result' => 'array', 'began_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];
}
