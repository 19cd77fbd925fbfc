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

    /** @return HasMany<DraftEdit, $this> */
    public function edits(): HasMany
    {
        return $this->hasMany(DraftEdit::class)->orderBy('id');
    }
}
