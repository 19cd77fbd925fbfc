<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A filter of people under a name.
 *
 * @property int $id
 * @property int $person_id whose it is
 * @property string $name
 * @property string $query as the address of the list has it
 */
final class SavedFilter extends Record
{
    protected $table = 'segments';

    protected $guarded = [];
}
