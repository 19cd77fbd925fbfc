<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody who asked to be told when a course runs again.
 *
 * @property int $id
 * @property int $course_id
 * @property ?int $person_id whose account it is, where they were signed in
 * @property string $name
 * @property string $email
 * @property string $token of the link by which one is not written to any more
 * @property \DateTimeImmutable $asked_at
 * @property ?\DateTimeImmutable $told_at null: they wait
 * @property Course $course
 */
final class NextRun extends Record
{
    protected $table = 'next_runs';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['asked_at' => UtcInstant::class, 'told_at' => UtcInstant::class];

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }
}
