<?php

declare(strict_types=1);

namespace App\Database\Copying;

use Illuminate\Database\Connection;

/** Which tables a school has, told by the database itself: none can be forgotten. */
final class SchoolTables
{
    /** Tables of the database's own, and what it knows by heart of others. */
    private const OWN = '/^(sqlite_|row_words)/';

    private function __construct()
    {
    }

    /**
     * @return list<CopiedTable>
     *
     * @throws CannotCopy if the other database has not just the same ones
     */
    public static function common(Connection $from, Connection $to): array
    {
        $tables = [];
        foreach (self::names($from) as $name) {
            $columns = self::columns($from, $name);
            $theirs = array_keys(self::columns($to, $name));
            $ours = array_keys($columns);
            sort($ours);
            sort($theirs);
            if ($ours !== $theirs) {
                throw new CannotCopy("The table {$name} is not the same in both databases: are all migrations done in both?");
            }
            $tables[] = new CopiedTable($name, $columns, self::key($from, $name));
        }
        $more = array_diff(self::names($to), self::names($from));
        if ($more !== []) {
            throw new CannotCopy('The other database has more tables: '.implode(', ', $more).'. Is it another program\'s, too?');
        }

        return $tables;
    }

    /** @return list<string> */
    public static function names(Connection $connection): array
    {
        $schema = $connection->getSchemaBuilder();
        $names = [];
        foreach ($schema->getTableListing($connection->getDriverName() === 'pgsql' ? 'public' : 'main', schemaQualified: false) as $name) {
            if (preg_match(self::OWN, $name) !== 1) {
                $names[] = $name;
            }
        }
        sort($names);

        return $names;
    }

    /** @return array<string, string> kind by name */
    private static function columns(Connection $connection, string $table): array
    {
        $columns = [];
        foreach ($connection->getSchemaBuilder()->getColumns($table) as $column) {
            $columns[$column['name']] = match (true) {
                in_array($column['type_name'], ['tinyint', 'bool'], true) => 'bool',
                in_array($column['type_name'], ['float', 'double', 'float4', 'float8', 'real', 'numeric'], true) => 'float',
                in_array($column['type_name'], ['integer', 'int2', 'int4', 'int8'], true) => 'integer',
                default => 'text',
            };
        }

        return $columns;
    }

    /** @return non-empty-list<string> */
    private static function key(Connection $connection, string $table): array
    {
        foreach ($connection->getSchemaBuilder()->getIndexes($table) as $index) {
            if ($index['primary'] && $index['columns'] !== []) {
                return $index['columns'];
            }
        }
        throw new CannotCopy("The table {$table} has no primary key.");
    }
}
