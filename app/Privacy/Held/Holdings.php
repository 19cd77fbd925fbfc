<?php

declare(strict_types=1);

namespace App\Privacy\Held;

use App\Models\Person;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whose rows are where. */
final class Holdings
{
    private function __construct()
    {
    }

    /** @return list<Holding> of all that is handed out, where there is any */
    public static function of(Person $person): array
    {
        $holdings = [];
        foreach (Sections::all() as $section) {
            $rows = $section->handedOut ? self::rows($section, $person->id, self::addresses($person))->count() : 0;
            if ($rows > 0) {
                $holdings[] = new Holding($section, $rows);
            }
        }

        return $holdings;
    }

    /** @return list<string> under which they have proved to be reached: what somebody else typed is not theirs */
    public static function addresses(Person $person): array
    {
        return $person->isConfirmed() ? [$person->email] : [];
    }

    /** @param  list<string>  $addresses */
    public static function rows(Section $section, int $person, array $addresses): Builder
    {
        return DB::table($section->table)->where(static function (Builder $query) use ($section, $person, $addresses): void {
            foreach ($section->by as $column) {
                $query->orWhere($column, $person);
            }
            foreach ($addresses === [] ? [] : $section->addresses as $column) {
                $query->orWhere(static fn (Builder $theirs) => $theirs->whereIn($column, $addresses)->when($section->by !== [], static fn (Builder $nobodys) => $nobodys->whereNull($section->by[0])));
            }
            if ($section->by === [] && $addresses === []) {
                $query->whereRaw('1 = 0');
            }
        });
    }
}
