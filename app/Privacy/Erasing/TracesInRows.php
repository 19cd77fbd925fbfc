<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Dialects;
use App\Database\Value;
use App\Models\ErasedPerson;
use App\Privacy\Held\Sections;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Where somebody is named in rows that are not theirs: what the program wrote names them by their number, what people wrote is told. */
final readonly class TracesInRows
{
    /** Places that are told. */
    private const MOST_TOLD = 50;

    private const GROUP = 200;

    /** In these columns alone: what else stands there is who others are. */
    private const COLUMNS = ['people' => ['claimed_email']];

    public function remove(ErasedPerson $erased, Sought $sought): void
    {
        foreach (Sections::LET_GO as $table) {
            foreach (array_chunk(self::naming($table, $sought)->pluck('id')->all(), self::GROUP) as $some) {
                DB::transaction(static fn () => Gone::count($erased, $table, DB::table($table)->whereIn('id', $some)->delete()));
            }
        }
        foreach (Sections::REWRITTEN as $table) {
            foreach (array_chunk(self::naming($table, $sought)->get(['id', ...self::columns($table)])->all(), self::GROUP) as $some) {
                DB::transaction(static fn () => Gone::count($erased, $table, array_sum(array_map(static fn (object $row): int => self::rewrite($table, (array) $row, $erased->person_id, $sought), $some))));
            }
        }
    }

    /** @return list<array{table: string, column: string, row: string}> */
    public function left(Sought $sought): array
    {
        $left = [];
        foreach ([...Sections::TOLD, ...Sections::REWRITTEN] as $table) {
            $columns = self::columns($table);
            $key = in_array('id', Schema::getColumnListing($table), true) ? 'id' : 'course_id';
            foreach (count($left) < self::MOST_TOLD ? self::naming($table, $sought)->orderBy($key)->limit(self::MOST_TOLD)->get([$key, ...$columns]) : [] as $row) {
                foreach ($columns as $column) {
                    $text = ((array) $row)[$column] ?? null;
                    if (is_string($text) && $sought->isIn($text)) {
                        $left[] = ['table' => $table, 'column' => $column, 'row' => Value::text((string) ((array) $row)[$key])];
                    }
                }
            }
        }

        return array_slice($left, 0, self::MOST_TOLD);
    }

    /** @param  array<array-key, mixed>  $row */
    private static function rewrite(string $table, array $row, int $person, Sought $sought): int
    {
        $changed = [];
        foreach (self::columns($table) as $column) {
            $text = $row[$column] ?? null;
            if (is_string($text) && ($new = $sought->replaced($text, Nobody::name($person), Nobody::address($person))) !== $text) {
                $changed[$column] = $new;
            }
        }

        return $changed === [] ? 0 : DB::table($table)->where('id', $row['id'])->update($changed);
    }

    private static function naming(string $table, Sought $sought): Builder
    {
        $dialect = Dialects::spoken();

        return DB::table($table)->where(static function (Builder $query) use ($table, $sought, $dialect): void {
            $query->whereRaw('1 = 0');
            foreach (self::columns($table) as $column) {
                foreach ($sought->anywhere() as $form) {
                    $query->orWhereRaw($dialect->like("cast(\"{$column}\" as text)"), ['%'.addcslashes($form, '%_\\').'%']);
                }
                foreach ($sought->names as $name) {
                    $query->orWhereRaw("cast(\"{$column}\" as text) = ?", [$name]);
                }
            }
        });
    }

    /** @return list<string> that hold texts */
    private static function columns(string $table): array
    {
        $texts = array_filter(Schema::getColumns($table), static fn (array $column): bool => in_array($column['type_name'], ['varchar', 'text', 'json', 'jsonb'], true));

        return self::COLUMNS[$table] ?? array_values(array_diff(Value::texts(array_column($texts, 'name')), ['id']));
    }
}
