<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a lesson or part held, until it was written anew.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property int $version
 * @property array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}} $written
 * @property ?int $written_by
 * @property \DateTimeImmutable $written_at
 * @property \DateTimeImmutable $replaced_at
 * @property ?Person $author
 */
final class ContentVersion extends Record
{
    protected $table = 'content_versions';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['written' => 'array', 'written_at' => UtcInstant::class, 'replaced_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'written_by');
    }
}
