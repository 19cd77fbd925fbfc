<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A closed door that was met, and what was done next; of nobody in particular.
 *
 * @property int $id
 * @property string $token of one door in one session on one day
 * @property int $course_id
 * @property string $item_key
 * @property string $case
 * @property string $who visitor, guest, member, observer or holder
 * @property ?string $then taken, signed-in or went-on; null: they left
 * @property \DateTimeImmutable $met_at
 */
final class NoticeMeeting extends Record
{
    protected $table = 'notice_meetings';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['met_at' => UtcInstant::class];
}
