<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Vantages that somebody looks from again and again, under a name.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $name
 * @property list<string> $vantages as addresses name them
 */
final class VantageSet extends Record
{
    protected $table = 'vantage_sets';

    protected $guarded = [];

    protected $casts = ['vantages' => 'array'];
}
