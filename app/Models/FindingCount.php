<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * Whom the findings of a course touch, as far as its people have been looked at.
 *
 * @property int $id
 * @property int $course_id
 * @property bool $draft whether of the draft's rules
 * @property string $stamp digest of the findings that are counted
 * @property array<array-key, int> $counts people by digest of the finding
 * @property int $looked people
 * @property int $of
 * @property int $reached the last person who was looked at, by id
 * @property \DateTimeImmutable $began_at
 * @property ?\DateTimeImmutable $finished_at
 */
final class FindingCount extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['draft' => 'boolean', 'counts' => 'array', 'began_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];
}
