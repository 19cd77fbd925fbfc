<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A rehearsal that takes longer than one request: how far it has come.
 *
 * @property int $id
 * @property int $course_id
 * @property ?int $base_revision_id what was live
 * @property string $subject what is to be live instead
 * @property \DateTimeImmutable $instant of the change
 * @property ?\DateTimeImmutable $set_for the time that was asked for
 * @property \DateTimeImmutable $made_at when it was begun
 * @property string $phase
 * @property int $last_id
 * @property int $looked
 * @property int $of
 * @property string $people JSON
 * @property string $observers JSON
 * @property ?\DateTimeImmutable $finished_at
 * @property-read \Illuminate\Database\Eloquent\Collection<int, RehearsalPart> $parts of a long one, in the order of the people in them
 */
final class RehearsalRun extends Record
{
    public $timestamps = false;

    protected $table = 'rehearsals';

    protected $guarded = [];

    protected $casts = ['instant' => UtcInstant::class, 'set_for' => UtcInstant::class, 'made_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];

    public function isUnderWay(): bool
    {
        return $this->finished_at === null;
    }

    /** @return HasMany<RehearsalPart, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(RehearsalPart::class, 'rehearsal_id')->orderBy('id');
    }
}
