<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A line of the activity log, written in the same transaction as what it tells of.
 *
 * @property int $id
 * @property ?int $actor_id
 * @property ?int $course_id
 * @property ?int $person_id
 * @property string $action
 * @property ?array<string, mixed> $before
 * @property ?array<string, mixed> $after
 * @property \DateTimeImmutable $happened_at
 */
final class Activity extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['before' => 'array', 'after' => 'array', 'happened_at' => UtcInstant::class];
}
