<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Database\Value;
use App\Ledger\Past\Entries;
use App\Ledger\Past\Entry;
use App\Models\Course;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whoever held something of a course at any time, staff left out, and what the ledger says of them. */
final class Holding
{
    /** Rows with a `person_id`. */
    public function of(Course $course): Builder
    {
        // In the words of the index, which is of these rows alone.
        $gone = DB::table('ledger')->select('person_id')->where('course_id', $course->id)->whereRaw("what = 'gone' and subject in ('passes', 'grants') and person_id is not null");
        $whom = DB::table('passes')->select('person_id')->where('course_id', $course->id)
            ->union(DB::table('grants')->select('person_id')->where('course_id', $course->id))->union($gone);

        return DB::query()->fromSub($whom, 'whom')->whereNotExists(static fn (Builder $staff): Builder => $staff->from('people')->whereColumn('people.id', 'whom.person_id')->whereNotNull('role'));
    }

    /**
     * @param  list<int>  $people
     * @return array<int, list<Entry>> by person, in the order in which they were written
     */
    public static function entries(array $people, int $until): array
    {
        $entries = [];
        foreach (Entries::ofPeople($people, $until) as $entry) {
            $entries[Value::int($entry->fact->person)][] = $entry;
        }

        return $entries;
    }
}
