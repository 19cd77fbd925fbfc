<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the school says at a kind of closed door, where it says something of its own.
 *
 * @property int $id
 * @property string $scope school, or course:ID
 * @property ?int $course_id
 * @property string $case the kind of closed door
 * @property string $way show, sign-in or address
 * @property string $heading with placeholders; empty: as it is without this
 * @property string $text Markdown with placeholders; empty: as it is without this
 * @property ?string $address where to send people instead
 * @property int $version
 */
final class NoticeText extends Model
{
    protected $guarded = [];
}
