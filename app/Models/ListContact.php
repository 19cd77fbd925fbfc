<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody on the mailing list, under one label.
 *
 * @property int $id
 * @property int $person_id
 * @property string $label
 * @property string $source what added them
 * @property \DateTimeImmutable $added_at
 * @property Person $person
 */
final class ListContact extends Record
{
    protected $table = 'list_contacts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['added_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
