<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $course_id
 * @property ?int $base_revision_id
 * @property string $document JSON
 * @property int $version
 * @property ?\DateTimeImmutable $publish_at when it is to go live
 * @property ?int $publish_version the version that is to go live
 * @property ?int $publish_by
 * @property ?string $publish_note
 * @property bool $publish_losses_seen whoever set the time was shown what it takes away then
 * @property ?\DateTimeImmutable $publish_rehearsed_at when the rehearsal was begun that they were shown
 * @property ?string $publish_refused why the last set time passed without a publication
 */
final class Draft extends Record
{
    protected $table = 'drafts';

    protected $guarded = [];

    protected $casts = ['publish_at' => UtcInstant::class, 'publish_rehearsed_at' => UtcInstant::class, 'publish_losses_seen' => 'boolean'];

    /** @return HasMany<DraftEdit, $this> those that stand and those that were undone, as made */
    public function edits(): HasMany
    {
        return $this->hasMany(DraftEdit::class)->orderBy('id');
    }

    /** What an undo takes back. */
    public function lastMade(): ?DraftEdit
    {
        return $this->edits()->whereNull('undone_from')->reorder()->latest('id')->first();
    }

    /** What a redo brings back. */
    public function firstUndone(): ?DraftEdit
    {
        return $this->edits()->whereNotNull('undone_from')->first();
    }
}
