<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A finding that is meant so; it comes back when its cause changes.
 *
 * @property int $id
 * @property int $course_id
 * @property string $subject digest of what it is of
 * @property string $cause digest of the rules that made it so
 * @property string $reason
 * @property ?int $person_id
 * @property \DateTimeImmutable $accepted_at
 * @property-read ?Person $person
 */
final class AcceptedFinding extends Record
{
    protected $table = 'accepted_findings';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['accepted_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
