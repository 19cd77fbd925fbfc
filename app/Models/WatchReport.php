<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A statement of a player, kept so that the same one counts once.
 *
 * @property string $id of the xAPI statement
 * @property int $watch_id
 * @property string $played
 * @property \DateTimeImmutable $stored_at
 */
final class WatchReport extends Record
{
    protected $table = 'watch_reports';

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['stored_at' => UtcInstant::class];
}
