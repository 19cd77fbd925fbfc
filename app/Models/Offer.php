<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The selling side of an offer; what its passes open stands in the course's document.
 *
 * @property int $id
 * @property int $course_id
 * @property string $key
 * @property string $name
 * @property ?int $price
 * @property string $currency
 * @property list<string> $labels that its holders have, as the published rules say; only a publication writes them
 * @property bool $trial
 * @property bool $erases what was finished, some time after a pass of it has ended
 * @property Course $course
 */
final class Offer extends Model
{
    protected $guarded = [];

    protected $casts = ['labels' => 'array', 'trial' => 'boolean', 'erases' => 'boolean'];

    protected $attributes = ['labels' => '[]'];

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }
}
