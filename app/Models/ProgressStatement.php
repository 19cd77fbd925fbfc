<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What a system of others says of somebody's progress.
 *
 * @property string $id UUID
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property bool $completes whether it says that the item is finished
 * @property string $digest of what it says
 * @property string $body JSON: an xAPI statement
 * @property \DateTimeImmutable $stored_at
 */
final class ProgressStatement extends Record
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'statements';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['completes' => 'boolean', 'stored_at' => UtcInstant::class];
}
