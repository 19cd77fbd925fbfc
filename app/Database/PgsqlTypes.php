<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Schema\Grammars\PostgresGrammar;
use Illuminate\Support\Fluent;

/**
 * Columns of PostgreSQL that take what those of SQLite take: texts of any length and kind. How long something may be is asked where it
 * comes in, with a message at the field; what is looked for and could be no number of a thing is simply not there.
 */
final class PgsqlTypes extends PostgresGrammar
{
    /** @param  Fluent<string, mixed>  $column */
    protected function typeString(Fluent $column): string
    {
        return 'text';
    }

    /** @param  Fluent<string, mixed>  $column */
    protected function typeChar(Fluent $column): string
    {
        return 'text';
    }

    /** @param  Fluent<string, mixed>  $column */
    protected function typeUuid(Fluent $column): string
    {
        return 'text';
    }
}
