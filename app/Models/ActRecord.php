<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that was done to people, with all that is needed to take it back.
 *
 * @property int $id
 * @property ?int $actor_id
 * @property string $told
 * @property list<array{table: string, id: int, before: ?array<string, scalar|null>, after: ?array<string, scalar|null>}> $changes
 * @property \DateTimeImmutable $made_at
 * @property ?\DateTimeImmutable $undone_at
 */
final class ActRecord extends Model
{
    public $timestamps = false;

    protected $table = 'people_acts';

    protected $guarded = [];

    protected $casts = ['changes' => 'array', 'made_at' => UtcInstant::class, 'undone_at' => UtcInstant::class];
}
