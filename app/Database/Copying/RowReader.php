<?php

declare(strict_types=1);

namespace App\Database\Copying;

use Generator;
use Illuminate\Database\Connection;

/** Reads tables in the order of their keys, some rows at a time; what the two databases keep alike they tell alike. */
final readonly class RowReader
{
    private const ROWS = 2000;

    public function __construct(private Connection $connection)
    {
    }

    /** @return Generator<int, non-empty-list<list<?string>>> values in the order of the table's columns */
    public function chunks(CopiedTable $table): Generator
    {
        $after = null;
        do {
            $rows = $this->next($table, $after);
            $told = [];
            foreach ($rows as $row) {
                $told[] = self::told($table, $row);
                $after = array_map(static fn (string $column): mixed => $row[$column], $table->key);
            }
            if ($told !== []) {
                yield $told;
            }
        } while (count($told) === self::ROWS);
    }

    /**
     * @param  ?list<mixed>  $after  key of the last row
     * @return list<array<string, mixed>>
     */
    private function next(CopiedTable $table, ?array $after): array
    {
        // Texts byte by byte, whatever language the database is set to.
        $asText = $this->connection->getDriverName() === 'pgsql' ? 'cast("%s" as text) collate "C"' : '"%s"';
        $key = array_map(static fn (string $column): string => sprintf($table->columns[$column] === 'text' ? $asText : '"%s"', $column), $table->key);
        $from = $after === null ? '' : ' where ('.implode(', ', $key).') > ('.implode(', ', array_fill(0, count($key), '?')).')';
        $columns = implode(', ', array_map(static fn (string $name): string => "\"{$name}\"", $table->names()));
        $rows = $this->connection->select("select {$columns} from \"{$table->name}\"{$from} order by ".implode(', ', $key).' limit '.self::ROWS, $after ?? []);

        return array_map(static fn (mixed $row): array => self::asArray((array) $row), array_values($rows));
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private static function asArray(array $row): array
    {
        $named = [];
        foreach ($row as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<?string>
     */
    private static function told(CopiedTable $table, array $row): array
    {
        $told = [];
        foreach ($table->columns as $name => $kind) {
            $value = $row[$name] ?? null;
            $told[] = match (true) {
                $value === null => null,
                $kind === 'bool' => in_array($value, [false, 0, '0', 'f', ''], true) ? '0' : '1',
                $kind === 'float' => json_encode(is_numeric($value) ? (float) $value : 0.0, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                default => is_scalar($value) ? (string) $value : '',
            };
        }

        return $told;
    }
}
