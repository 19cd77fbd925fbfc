<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A row of a published course under its title, for finding it: as its live revision has it.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property string $kind
 * @property string $title
 * @property string $words as {@see \App\Words\Typed::words()} has them, divided by spaces
 */
final class RowTitle extends Record
{
    protected $table = 'row_titles';

    public $timestamps = false;

    protected $guarded = [];
}
