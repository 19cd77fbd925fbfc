<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a lesson or part says. Only ever read once the core has said that the item is open.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property string $text Markdown
 */
final class Content extends Model
{
    protected $guarded = [];
}
