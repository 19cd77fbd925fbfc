<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody who was erased: what is left of them is a number.
 *
 * @property int $id
 * @property int $person_id
 * @property string $by whose hand it was, as the ledger names hands
 * @property string $state `waiting` as long as traces are looked for, then `done`
 * @property ?array<array-key, mixed> $sought what they were called and written to, encrypted; null: all was looked through
 * @property array<string, int> $gone by table: rows that are gone, or lost their words; `files` and `log`: places in them
 * @property list<array{table: string, column: string, row: string}> $left where they are still named, in words of others
 * @property \DateTimeImmutable $erased_at
 * @property ?\DateTimeImmutable $finished_at
 * @property Person $person
 */
final class ErasedPerson extends Record
{
    protected $table = 'erased_people';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['sought' => 'encrypted:array', 'gone' => 'array', 'left' => 'array', 'erased_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
