<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A part of a long rehearsal: people, or observers, one after another by id.
 *
 * @property int $id
 * @property int $rehearsal_id
 * @property string $phase
 * @property int $last_id everybody of the part up to this one is counted
 * @property ?int $up_to the last of the part; null: to the end
 * @property int $looked
 * @property string $tally JSON
 * @property ?\DateTimeImmutable $finished_at
 */
final class RehearsalPart extends Record
{
    protected $table = 'rehearsal_parts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['finished_at' => UtcInstant::class];
}
