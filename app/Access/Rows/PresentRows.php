<?php

declare(strict_types=1);

namespace App\Access\Rows;

use App\Database\Dialects;
use App\Database\Lists;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** As they are: four queries, however many people and courses. */
final readonly class PresentRows implements AccessRows
{
    /** Of so many courses rows are found by course, where those of many people lie side by side; of more by person. */
    private const FEW_COURSES = 3;

    public function labels(array $people): iterable
    {
        return Lists::of(DB::table('labels')->whereIntegerInRaw('person_id', $people)->orderBy('person_id')->orderBy('id')->select('person_id', 'label', 'starts_at', 'ends_at'));
    }

    public function passes(array $people, array $courses): iterable
    {
        $passes = static fn (): Builder => DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')
            ->select('passes.person_id', 'passes.id', 'passes.course_id', 'passes.state', 'passes.starts_at', 'passes.ends_at', 'passes.paced_from', 'offers.key', 'offers.labels');
        $elsewhere = $passes()->whereIntegerInRaw('passes.person_id', $people)->whereIntegerNotInRaw('passes.course_id', $courses)->where('offers.labels', '!=', '[]')
            // Asked once: where no offer of another course gives a label, nobody's passes are looked through.
            ->whereExists(static fn (Builder $query): Builder => $query->from('offers as giving')->where('giving.labels', '!=', '[]')->whereIntegerNotInRaw('giving.course_id', $courses));

        return Lists::of(self::among($passes(), 'passes.', $people, $courses)->unionAll($elsewhere));
    }

    public function grants(array $people, array $courses): iterable
    {
        return Lists::of(self::among(DB::table('grants'), '', $people, $courses)->orderBy('person_id')->orderBy('id')->select('person_id', 'course_id', 'item_key', 'starts_at', 'ends_at'));
    }

    public function done(array $people, array $courses): array
    {
        $done = [];
        $dialect = Dialects::spoken();
        // One row for each person and course: handing out one for each lesson that is done would be most of the work.
        $rows = self::among(DB::table('completions'), '', $people, $courses)->groupBy('course_id', 'person_id')
            ->selectRaw("person_id, course_id, {$dialect->lines('item_key')}, {$dialect->lines($dialect->seconds('completed_at'))}");
        foreach (Lists::of($rows) as [$person, $course, $items, $instants]) {
            $done[(int) $person][(int) $course] = array_combine(explode("\n", (string) $items), array_map(intval(...), explode("\n", (string) $instants)));
        }

        return $done;
    }

    /**
     * @param  string  $table  its name and a dot, where there are several
     * @param  list<int>  $people
     * @param  array<int>  $courses
     */
    private static function among(Builder $query, string $table, array $people, array $courses): Builder
    {
        $query->whereIntegerInRaw("{$table}person_id", $people);

        // With a sign before it no index is used for a column.
        return count($courses) > self::FEW_COURSES
            ? $query->whereRaw("+{$table}course_id in (".implode(', ', array_map(intval(...), $courses)).')')
            : $query->whereIntegerInRaw("{$table}course_id", $courses);
    }
}
