<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A row of a file that waits to be brought in.
 *
 * @property int $id
 * @property int $import_id
 * @property int $line of the file
 * @property string $email
 * @property string $name
 * @property list<string> $labels
 * @property ?int $offer_id
 * @property ?\DateTimeImmutable $starts_at
 * @property ?\DateTimeImmutable $ends_at when the pass ends, if that is sooner than it would
 * @property bool $takes passes of that offer end, instead of one being given
 * @property list<string> $observes addresses of the learners that they look in on
 */
final class ImportRow extends Record
{
    protected $table = 'import_rows';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['labels' => 'array', 'observes' => 'array', 'starts_at' => UtcInstant::class, 'ends_at' => UtcInstant::class, 'takes' => 'boolean'];
}
