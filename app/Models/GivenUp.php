<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was tried in a draft and given up.
 *
 * @property int $id
 * @property int $course_id
 * @property ?int $base_revision_id what was live
 * @property ?int $person_id who gave it up
 * @property string $how discarded: the draft was thrown away; undone: edits were undone, and another way was taken
 * @property string $document JSON
 * @property array<array-key, array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}}> $contents what was drafted of items, by key
 * @property \DateTimeImmutable $made_at
 * @property-read ?Person $person
 */
final class GivenUp extends Record
{
    public $timestamps = false;

    protected $table = 'given_up';

    protected $guarded = [];

    protected $casts = ['contents' => 'array', 'made_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
