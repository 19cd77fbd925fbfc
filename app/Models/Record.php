<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** What all models have in common. */
abstract class Record extends Model
{
    use BootsByName;
}
