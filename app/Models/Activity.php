<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Builder;

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
final class Activity extends Record
{
    protected $table = 'activities';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['before' => 'array', 'after' => 'array', 'happened_at' => UtcInstant::class];

    /** Lines of an act that is only prepared, or is not taken back yet, tell of nothing that has happened. */
    protected static function booted(): void
    {
        self::addGlobalScope('happened', static fn (Builder $query) => $query->where(static fn (Builder $query) => $query
            ->whereNull('activities.act_id')
            ->orWhereExists(static fn ($acts) => $acts->from('people_acts')->whereColumn('people_acts.id', 'activities.act_id')->whereIn('people_acts.state', ['done', 'undoing'])
                ->where(static fn ($act) => $act->where('activities.taken_back', false)->orWhereNotNull('people_acts.undone_at')))));
    }
}
