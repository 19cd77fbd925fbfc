<?php

declare(strict_types=1);

namespace App\Models;

/**
 * How often a closed door was met in a week that is past.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property string $case
 * @property string $week its Monday, as YYYY-MM-DD in UTC
 * @property int $met
 * @property int $taken
 * @property int $signed_in
 * @property int $went_on
 */
final class NoticeWeek extends Record
{
    protected $table = 'notice_weeks';

    public $timestamps = false;

    protected $guarded = [];
}
