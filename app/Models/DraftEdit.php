<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $draft_id
 * @property ?int $author_id
 * @property string $change JSON
 * @property string $before JSON
 * @property ?string $undone_from JSON; the document that redo brings back, null while the edit stands
 * @property \DateTimeImmutable $made_at
 */
final class DraftEdit extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => UtcInstant::class];
}
