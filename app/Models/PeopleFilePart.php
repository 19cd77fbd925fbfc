<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Some lines of a file of people.
 *
 * @property int $id
 * @property int $file_id
 * @property int $place from 0
 * @property list<int> $people ids, in the order of their lines
 * @property ?string $lines as they stand in the file; null: not made yet
 */
final class PeopleFilePart extends Record
{
    protected $table = 'people_file_parts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['people' => 'array'];
}
