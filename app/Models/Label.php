<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $person_id
 * @property int $id
 * @property string $label
 * @property string $source what gave it
 */
final class Label extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
