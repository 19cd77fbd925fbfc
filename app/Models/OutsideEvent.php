<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a system of others is told.
 *
 * @property int $id
 * @property int $outside_system_id
 * @property ?int $person_id of whom it tells
 * @property string $event its id, by which whoever is told knows it again
 * @property string $once twice the same is told once
 * @property string $body JSON: a CloudEvent
 * @property string $state waiting, taken or failed
 * @property int $tries
 * @property ?\DateTimeImmutable $due_at of what waits: when it is tried next
 * @property ?array<string, string> $signature headers of the last try
 * @property ?int $status of the last answer
 * @property ?string $answer its beginning
 * @property ?string $problem why there was none
 * @property \DateTimeImmutable $made_at
 * @property ?\DateTimeImmutable $tried_at
 * @property OutsideSystem $system
 */
final class OutsideEvent extends Record
{
    protected $table = 'outside_events';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['signature' => 'array', 'due_at' => UtcInstant::class, 'made_at' => UtcInstant::class, 'tried_at' => UtcInstant::class];

    protected $attributes = ['state' => 'waiting', 'tries' => 0];

    /** @return BelongsTo<OutsideSystem, $this> */
    public function system(): BelongsTo
    {
        return $this->belongsTo(OutsideSystem::class, 'outside_system_id');
    }
}
