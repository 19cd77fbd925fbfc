<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What a system of others says came about for somebody.
 *
 * @property int $id
 * @property int $outside_system_id
 * @property int $person_id
 * @property string $source
 * @property string $event its id, unique in its source
 * @property string $type
 * @property string $body JSON: a CloudEvent
 * @property string $signature by which it came
 * @property \DateTimeImmutable $received_at
 */
final class IncomingEvent extends Record
{
    protected $table = 'incoming_events';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['received_at' => UtcInstant::class];
}
