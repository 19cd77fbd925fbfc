<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Database\Value;
use App\Ledger\Past\Entries;
use App\Ledger\Past\Entry;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use Generator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whoever held something of a course at any time, staff left out, and what the ledger says of them. */
final class Holding
{
    /** Of counts by what the ledger says: what was, stays so. Another one where it is told otherwise than before. */
    public const STAMP = 'ledger-2';

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
     * Each of these people who held something of the course by then, and whoever looked in on each of them at any time, staff left out; with
     * what was written of both. Three queries.
     *
     * @param  list<int>  $people
     * @return Generator<array{PastLooker, list<Entry>}>
     */
    public static function lookers(array $people, Course $course, int $until): Generator
    {
        $entries = self::entries($people, $until);
        $observers = self::observers($entries);
        $others = self::entries(array_values(array_unique(array_merge(...array_values($observers)))), $until);
        foreach ($people as $person) {
            $theirs = $entries[$person] ?? [];
            if (! self::held($theirs, $course)) {
                continue;
            }
            yield [new PastLooker($person), $theirs];
            foreach ($observers[$person] ?? [] as $observer) {
                $both = [...$theirs, ...$others[$observer] ?? []];
                usort($both, static fn (Entry $one, Entry $other): int => $one->id <=> $other->id);
                yield [new PastLooker($observer, observed: $person), $both];
            }
        }
    }

    /** @param  list<Entry>  $entries */
    private static function held(array $entries, Course $course): bool
    {
        foreach ($entries as $entry) {
            if ($entry->fact->course === $course->id && in_array($entry->subject, ['passes', 'grants'], true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $people
     * @return array<int, list<Entry>> by person, in the order in which they were written
     */
    private static function entries(array $people, int $until): array
    {
        $entries = [];
        foreach ($people === [] ? [] : Entries::ofPeople($people, $until) as $entry) {
            $entries[Value::int($entry->fact->person)][] = $entry;
        }

        return $entries;
    }

    /**
     * @param  array<int, list<Entry>>  $entries  of learners
     * @return array<int, list<int>> observers by learner, ascending
     */
    private static function observers(array $entries): array
    {
        $observers = $all = [];
        foreach ($entries as $learner => $theirs) {
            foreach ($theirs as $entry) {
                // Of what is gone the entry says no more than that.
                if ($entry->subject === 'observer_ties' && $entry->what !== 'gone') {
                    $observer = (int) $entry->fact->intOrNull('observer_id');
                    $observers[$learner][$observer] = $all[$observer] = $observer;
                }
            }
        }
        $staff = $all === [] ? [] : Value::ints(DB::table('people')->whereIntegerInRaw('id', $all)->whereNotNull('role')->orderBy('id')->pluck('id'));
        foreach ($observers as $learner => $theirs) {
            sort($theirs);
            $observers[$learner] = array_values(array_diff($theirs, $staff));
        }

        return $observers;
    }
}
