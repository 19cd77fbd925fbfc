<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What is to stay so of one item and one kind of viewer, whatever is edited.
 *
 * @property int $id
 * @property int $course_id
 * @property ?int $author_id
 * @property string $vantage as addresses name it; days are counted at the instant of the check
 * @property string $item_key
 * @property string $must open, closed or never
 * @property \DateTimeImmutable $made_at
 * @property-read ?Person $author
 */
final class Expectation extends Record
{
    protected $table = 'expectations';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'author_id');
    }
}
