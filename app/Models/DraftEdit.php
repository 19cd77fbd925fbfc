<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $draft_id
 * @property ?int $author_id
 * @property string $change JSON
 * @property string $before JSON
 * @property ?string $undone_from JSON; the document that redo brings back, null while the edit stands
 * @property \DateTimeImmutable $made_at
 * @property ?int $version of the draft once it was made; null in drafts older than this column
 * @property ?Person $author
 */
final class DraftEdit extends Record
{
    protected $table = 'draft_edits';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'author_id');
    }
}
