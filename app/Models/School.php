<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The one school of this installation.
 *
 * @property int $warn_days before a trial that erases ends
 * @property int $grace_days after it has ended
 * @property int $id
 * @property string $name
 * @property string $zone
 * @property bool $guests
 * @property ?string $contact_name
 * @property ?string $contact_email
 */
final class School extends Model
{
    protected $guarded = [];

    protected $casts = ['guests' => 'boolean'];
}
