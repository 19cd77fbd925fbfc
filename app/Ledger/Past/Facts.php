<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Database\Lists;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Rows as they were at a moment, from the ledger alone. */
final readonly class Facts
{
    private const COLUMNS = ['id', 'at', 'row_id', 'person_id', 'course_id', 'content', 'subject', 'what'];

    private function __construct()
    {
    }

    /**
     * What is somebody's; one query.
     *
     * @param  list<int>  $people
     * @param  list<string>  $subjects
     * @return array<string, array<int, array<int, Fact>>> by subject, person and row, rows ascending
     */
    public static function ofPeople(array $people, array $subjects, Moment $moment): array
    {
        $facts = [];
        $entries = $moment->among(DB::table('ledger')->whereIntegerInRaw('person_id', $people)->whereIn('subject', $subjects))->orderBy('person_id')->orderBy('id');
        foreach (Lists::of($entries->select(self::COLUMNS)) as $row) {
            $fact = Fact::of($row);
            if ($row[7] === 'gone') {
                unset($facts[(string) $row[6]][(int) $fact->person][$fact->row]);
            } else {
                $facts[(string) $row[6]][(int) $fact->person][$fact->row] = $fact;
            }
        }
        foreach ($facts as &$of) {
            foreach ($of as &$rows) {
                ksort($rows);
            }
        }

        return $facts;
    }

    /**
     * What is nobody's; one query.
     *
     * @param  list<string>  $subjects
     * @param  ?int  $course  null: of all
     * @return array<string, array<int, Fact>> by subject and row, rows ascending
     */
    public static function ofSchool(array $subjects, Moment $moment, ?int $course = null): array
    {
        $facts = [];
        $entries = $moment->among(DB::table('ledger')->whereNull('person_id')->whereIn('subject', $subjects))
            ->when($course !== null, static fn (Builder $query): Builder => $query->where(static fn (Builder $of): Builder => $of->where('course_id', $course)->orWhereIn('subject', ['schools', 'offers'])))->orderBy('id');
        foreach (Lists::of($entries->select(self::COLUMNS)) as $row) {
            $fact = Fact::of($row);
            if ($row[7] === 'gone') {
                unset($facts[(string) $row[6]][$fact->row]);
            } else {
                $facts[(string) $row[6]][$fact->row] = $fact;
            }
        }
        foreach ($facts as &$of) {
            ksort($of);
        }

        return $facts;
    }
}
