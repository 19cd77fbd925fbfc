<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use App\Models\SavedFilter;

/** Keeps a filter of people under a name; the same name again replaces it. */
final readonly class SaveFilter
{
    /** @param  string  $query  as the address of the list has it */
    public function __invoke(Person $person, string $name, string $query): void
    {
        SavedFilter::query()->updateOrCreate(['person_id' => $person->id, 'name' => $name], ['query' => $query]);
    }

    public function forget(Person $person, int $id): void
    {
        SavedFilter::query()->where('person_id', $person->id)->where('id', $id)->delete();
    }
}
