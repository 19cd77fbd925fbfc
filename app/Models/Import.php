<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
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
 * @property string $state new, reading, ready, bringing in, done, taking back, taken back, refused, or gone where it was never brought in
 * @property int $position how far it is read
 * @property int $rows read so far
 * @property array<string, int> $tally counts of outcomes
 * @property list<array{line: int, message: string, passed?: bool}> $errors the first lines that are wrong, or passed over
 * @property int $staged the last of its rows that is laid down
 * @property int $basis the last line of the log that was there when that was begun
 * @property int $basis_turn the last turn of acts, likewise
 * @property ?int $lettered the last of its people who were written to; null: nobody is to be written to yet, or any more
 * @property ?int $lettered_observers the last of those who look in on somebody new who was written to; null likewise
 * @property ?string $problem why it was not brought in
 * @property ?int $taken_back_by person
 * @property ?\DateTimeImmutable $taken_back_at
 * @property \DateTimeImmutable $made_at
 * @property ?\DateTimeImmutable $finished_at
 */
final class Import extends Record
{
    protected $table = 'imports';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['options' => 'array', 'tally' => 'array', 'errors' => 'array', 'made_at' => UtcInstant::class, 'finished_at' => UtcInstant::class, 'taken_back_at' => UtcInstant::class];

    /** @return HasMany<ImportRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(ImportRow::class);
    }
}
