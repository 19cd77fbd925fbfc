<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Another course, put before whoever reads a page of this one and may take it.
 *
 * @property int $id
 * @property int $course_id on whose page it stands
 * @property string $item_key the lesson; empty: the page of the course
 * @property int $other_id the course that is offered
 * @property string $heading
 * @property string $text Markdown
 * @property string $button
 * @property ?string $picture token of one of the school's
 * @property int $version
 * @property Course $other
 */
final class RelatedOffer extends Record
{
    protected $table = 'related_offers';

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Course, $this> */
    public function other(): BelongsTo
    {
        return $this->belongsTo(Course::class, 'other_id');
    }
}
