<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One publication of a course's rules. Never changed, never deleted.
 *
 * @property int $id
 * @property int $course_id
 * @property int $number
 * @property string $document JSON
 * @property ?int $author_id
 * @property ?string $note
 * @property \DateTimeImmutable $published_at
 * @property ?list<array{item: string, title: string, parts: list<string>, version: int}> $contents of which items what went live with it; null: none
 * @property ?Person $author
 */
final class Revision extends Record
{
    protected $table = 'revisions';

    /** The highest number that any database keeps. */
    public const MOST = 2_147_483_647;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['published_at' => UtcInstant::class, 'contents' => 'array'];

    protected static function booted(): void
    {
        $refuse = static fn (): never => throw new \LogicException('A revision stays as it was published.');
        self::updating($refuse);
        self::deleting($refuse);
    }

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
