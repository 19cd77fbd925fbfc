<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $course_id
 * @property ?int $base_revision_id
 * @property string $document JSON
 * @property int $version
 * @property ?int $rehearsed_version
 */
final class Draft extends Model
{
    protected $guarded = [];

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
