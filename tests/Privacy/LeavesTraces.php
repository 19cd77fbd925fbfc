<?php

declare(strict_types=1);

namespace Tests\Privacy;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Tests\SchoolFile;

/** Writes texts where a program may leave them, and looks for them byte by byte. */
trait LeavesTraces
{
    /** A row of which every text says the same, whatever its table. */
    private function rowSaying(string $table, string $text): void
    {
        $named = [];
        foreach (Schema::getForeignKeys($table) as $key) {
            $named[$key['columns'][0]] = DB::table($key['foreign_table'])->orderByDesc($key['foreign_columns'][0])->value($key['foreign_columns'][0]);
        }
        $row = [];
        foreach (Schema::getColumns($table) as $column) {
            ['name' => $name, 'type_name' => $type] = $column;
            $isText = in_array($type, ['varchar', 'text', 'json', 'jsonb'], true);
            $row[$name] = match (true) {
                array_key_exists($name, $named) => $column['nullable'] && $named[$name] === null ? null : $named[$name] ?? $this->rowFor($table, $name),
                $name === 'id' && ! $isText, $name === 'path' => null,
                $name === 'state', $name === 'kind' => 'done',
                str_starts_with($type, 'json') => preg_match('/^[\[{]/', $text) === 1 ? $text : (string) json_encode(['said' => $text]),
                $isText => $text,
                str_contains($type, 'time') => '2026-03-01 09:00:00',
                default => $column['nullable'] || $column['default'] !== null ? null : 1,
            };
        }
        if (isset($row['path']) || array_key_exists('path', $row)) {
            $row['path'] = '';
        }
        DB::table($table)->insert(array_filter($row, static fn (mixed $value): bool => $value !== null));
    }

    /** A row of another table that has to be there first. */
    private function rowFor(string $table, string $column): mixed
    {
        foreach (Schema::getForeignKeys($table) as $key) {
            if ($key['columns'][0] === $column) {
                $this->rowSaying($key['foreign_table'], 'something');

                return DB::table($key['foreign_table'])->orderByDesc($key['foreign_columns'][0])->value($key['foreign_columns'][0]);
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $words
     * @return list<string> where any of them stands in a file of the school, byte by byte and whatever the case of letters is
     */
    private function bytesNaming(array $words): array
    {
        $database = SchoolFile::path();
        $files = [$database, "{$database}-wal"];
        foreach (Storage::allFiles() as $stored) {
            $files[] = Storage::path($stored);
        }
        $found = [];
        foreach (array_filter([...$files, ...(glob(storage_path('logs/*.log')) ?: [])], is_file(...)) as $file) {
            $bytes = (string) file_get_contents($file);
            foreach ($words as $word) {
                if (($at = stripos($bytes, $word)) !== false) {
                    $found[] = basename($file).": {$word}: ".preg_replace('/[^\x20-\x7e]/', '.', substr($bytes, max(0, $at - 60), 140));
                }
            }
        }

        return $found;
    }
}
