<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A rehearsal that takes longer than one request: how far it has come.
 *
 * @property int $id
 * @property int $course_id
 * @property ?int $base_revision_id what was live
 * @property string $subject what is to be live instead
 * @property \DateTimeImmutable $instant of the change
 * @property ?\DateTimeImmutable $set_for the time that was asked for
 * @property \DateTimeImmutable $made_at when it was begun
 * @property string $phase
 * @property int $last_id
 * @property int $looked
 * @property int $of
 * @property string $people JSON
 * @property string $observers JSON
 * @property ?\DateTimeImmutable $finished_at
 */
final class RehearsalRun extends Model
{
    public $timestamps = false;

    protected $table = 'rehearsals';

    protected $guarded = [];

    protected $casts = ['instant' => UtcInstant::class, 'set_for' => UtcInstant::class, 'made_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];
}
