<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Value;
use App\Models\ErasedPerson;
use App\Privacy\Held\Holdings;
use App\Privacy\Held\OnErasing;
use App\Privacy\Held\Section;
use App\Privacy\Held\Sections;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Psr\Clock\ClockInterface;

/** The rows of somebody who was erased: they go, or what was written in them does. */
final readonly class OwnRows
{
    /** Rows that are written while others wait. */
    private const GROUP = 500;

    public function __construct(private ClockInterface $clock)
    {
    }

    public function remove(ErasedPerson $erased, Sought $sought): void
    {
        foreach (Sections::all() as $section) {
            if ($section->onErasing === OnErasing::RowsGo || $section->onErasing === OnErasing::WordsGo) {
                $this->inSection($section, $erased, $sought);
            }
        }
    }

    private function inSection(Section $section, ErasedPerson $erased, Sought $sought): void
    {
        $theirs = Holdings::rows($section, $erased->person_id, $sought->addresses);
        foreach ($section->only as $column => $values) {
            $theirs->whereIn($column, $values);
        }
        $key = self::key($section->table);
        if ($key === null) {
            DB::transaction(fn () => Gone::count($erased, $section->table, $this->write($section, $theirs)));

            return;
        }
        foreach (array_chunk((clone $theirs)->orderBy($key)->pluck($key)->all(), self::GROUP) as $some) {
            DB::transaction(fn () => Gone::count($erased, $section->table, $this->write($section, DB::table($section->table)->whereIn($key, $some))));
        }
    }

    private function write(Section $section, \Illuminate\Database\Query\Builder $rows): int
    {
        if ($section->onErasing === OnErasing::RowsGo) {
            return $rows->delete();
        }
        $written = (clone $rows)->update($section->blank);
        if ($section->table === 'posts') {
            // Its place is left for what others have answered.
            (clone $rows)->whereNull('taken_back_at')->update(['taken_back_at' => gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp())]);
        }

        return $written;
    }

    private static function key(string $table): ?string
    {
        foreach (Schema::getIndexes($table) as $index) {
            if ($index['primary'] && count($index['columns']) === 1) {
                return Value::text($index['columns'][0]);
            }
        }

        return null;
    }
}
