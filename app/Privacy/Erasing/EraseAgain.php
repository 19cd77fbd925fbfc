<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Value;
use App\Models\ErasedPerson;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A backup that is brought back holds people who were erased after it was made: they are erased once more. */
final readonly class EraseAgain
{
    public function __construct(private ErasePerson $erase)
    {
    }

    /** @return array<int, string> when each who is erased here was made, by number: by both they are known again */
    public static function known(): array
    {
        $known = [];
        if (Schema::hasTable('erased_people')) {
            foreach (DB::table('erased_people')->join('people', 'people.id', 'erased_people.person_id')->orderBy('people.id')->pluck('people.created_at', 'people.id') as $id => $made) {
                $known[(int) $id] = $made === null ? '' : Value::text($made);
            }
        }

        return $known;
    }

    /**
     * @param  array<int, string>  $known  of {@see known()}
     * @return int how many were erased
     */
    public function __invoke(array $known): int
    {
        $erased = 0;
        foreach (Person::query()->whereIntegerInRaw('id', array_keys($known))->whereNull('erased_at')->orderBy('id')->get() as $person) {
            // Of another school somebody else has that number.
            if (Value::text($person->getRawOriginal('created_at') ?? '') === $known[$person->id] && ! $person->isStaff()) {
                ($this->erase)($person, null);
                $erased++;
            }
        }
        // Those who were erased already when it was made may have been looked for only in part.
        foreach (ErasedPerson::query()->where('state', 'waiting')->orderBy('id')->get() as $waiting) {
            RemoveTraces::dispatch($waiting->id);
        }

        return $erased;
    }
}
