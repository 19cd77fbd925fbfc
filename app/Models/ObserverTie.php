<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $observer_id
 * @property int $learner_id
 * @property Person $observer
 * @property Person $learner
 */
final class ObserverTie extends Record
{
    protected $table = 'observer_ties';

    protected $guarded = [];

    /** @return BelongsTo<Person, $this> */
    public function observer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'observer_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'learner_id');
    }
}
