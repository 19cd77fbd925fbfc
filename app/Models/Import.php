<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A file of people that is being brought in: read row by row into `import_rows` first, then brought in all at once.
 *
 * @property int $id
 * @property ?int $author_id
 * @property string $kind csv or oneroster
 * @property string $name of the file
 * @property string $path below storage/app
 * @property array<string, mixed> $options which column is what, and what applies to every row
 * @property string $state new, reading, ready, bringing in, done or refused
 * @property int $position how far it is read
 * @property int $rows read so far
 * @property array<string, int> $tally counts of outcomes
 * @property list<array{line: int, message: string}> $errors the first lines that are wrong
 * @property \DateTimeImmutable $made_at
 * @property ?\DateTimeImmutable $finished_at
 */
final class Import extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['options' => 'array', 'tally' => 'array', 'errors' => 'array', 'made_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];

    /** @return HasMany<ImportRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(ImportRow::class);
    }
}
