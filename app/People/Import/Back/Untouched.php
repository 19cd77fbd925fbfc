<?php

declare(strict_types=1);

namespace App\People\Import\Back;

use App\Database\Dialects;

/** Who has never been here and to whom nothing else belongs: by every column of every table that names people, none left out. */
final class Untouched
{
    /** What goes with somebody, or stays without them: what they were written, the links in it, and the lines of the log. */
    private const OF_NO_WEIGHT = ['messages', 'sign_in_links', 'activities.person_id'];

    private function __construct()
    {
    }

    /**
     * A condition of SQL on a row of `people`.
     *
     * @param  string  $person  alias of that row
     * @param  array<string, string>  $but  by table: one of ids, whose rows do not count
     */
    public static function condition(string $person, array $but = []): string
    {
        $conditions = ["{$person}.seen_at is null and {$person}.session_key is null and {$person}.password is null and {$person}.role is null and {$person}.claimed_email is null"];
        foreach (self::naming() as [$table, $column]) {
            $except = isset($but[$table]) ? " and other.id not in (select id from {$but[$table]})" : '';
            $conditions[] = "not exists (select 1 from {$table} other where other.{$column} = {$person}.id{$except})";
        }
        // Pages that somebody opens are noted some moments later; the link that they came by is over at once.
        $conditions[] = "not exists (select 1 from sign_in_links other where other.person_id = {$person}.id and other.used_at is not null)";
        // Another file is about to bring them something.
        $conditions[] = "{$person}.id not in (select person_id from import_people where import_id in (select id from imports where state = 'bringing in'))";

        return implode(' and ', $conditions);
    }

    /** @return list<array{string, string}> tables and columns */
    private static function naming(): array
    {
        $naming = [];
        foreach (Dialects::spoken()->naming('people') as [$table, $column]) {
            if (! in_array($table, self::OF_NO_WEIGHT, true) && ! in_array("{$table}.{$column}", self::OF_NO_WEIGHT, true)) {
                $naming[] = [$table, $column];
            }
        }

        return $naming;
    }
}
