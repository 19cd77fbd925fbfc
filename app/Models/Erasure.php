<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What was erased at the end of a trial.
 *
 * @property int $id
 * @property ?int $person_id
 * @property int $course_id
 * @property string $offer_key
 * @property list<string> $what keys of the items that were finished
 * @property \DateTimeImmutable $erased_at
 */
final class Erasure extends Record
{
    protected $table = 'erasures';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['what' => 'array', 'erased_at' => UtcInstant::class];
}
