<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A rehearsal that takes longer than one request: how far it has come.
 *
 * @property int $id
 * @property int $draft_id
 * @property int $version of the draft
 * @property ?int $base_revision_id
 * @property \DateTimeImmutable $instant of the change
 * @property ?\DateTimeImmutable $set_for the time that was asked for
 * @property int $last_person_id
 * @property int $people
 * @property int $of
 * @property string $tally JSON
 * @property ?\DateTimeImmutable $finished_at
 */
final class RehearsalRun extends Model
{
    public $timestamps = false;

    protected $table = 'rehearsals';

    protected $guarded = [];

    protected $casts = ['instant' => UtcInstant::class, 'set_for' => UtcInstant::class, 'finished_at' => UtcInstant::class];
}
