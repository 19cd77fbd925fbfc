<?php

declare(strict_types=1);

namespace App\Access\Rows;

use App\Database\Dialects;
use App\Database\Lists;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** As they are: five queries, however many people and courses. */
final readonly class PresentRows implements AccessRows
{
    /** Of so many courses rows are found by course, where those of many people lie side by side; of more by person. */
    private const FEW_COURSES = 3;

    /** From so many people on it is looked whether they are nearly all between two of them. */
    private const SIDE_BY_SIDE = 100;

    public function labels(array $people): iterable
    {
        $dialect = Dialects::spoken();

        return Lists::of(DB::table('labels')->whereRaw(self::of($people))->orderBy('person_id')->orderBy('id')->selectRaw("person_id, label, {$dialect->seconds('starts_at')}, {$dialect->seconds('ends_at')}"));
    }

    public function passes(array $people, array $courses): iterable
    {
        $dialect = Dialects::spoken();
        $passes = static fn (): Builder => DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')
            ->selectRaw("passes.person_id, passes.id, passes.course_id, passes.state, {$dialect->seconds('passes.starts_at')}, {$dialect->seconds('passes.ends_at')}, {$dialect->seconds('passes.paced_from')}, offers.key, offers.labels");
        $here = self::among($passes(), 'passes.', $people, $courses);
        $giving = static fn (Builder $offers): Builder => $offers->where('offers.labels', '!=', '[]')->whereIntegerNotInRaw('offers.course_id', $courses);
        // Asked before: where no offer of another course gives a label, nobody's other passes are looked through.
        if (! $giving(DB::table('offers'))->exists()) {
            return Lists::of($here->orderByRaw('1, 2'));
        }

        return Lists::of($here->unionAll($giving($passes()->whereRaw(self::of($people, 'passes.'))->whereIntegerNotInRaw('passes.course_id', $courses)))->orderByRaw('1, 2'));
    }

    public function grants(array $people, array $courses): iterable
    {
        $dialect = Dialects::spoken();

        return Lists::of(self::among(DB::table('grants'), '', $people, $courses)->orderBy('person_id')->orderBy('id')
            ->selectRaw("person_id, course_id, item_key, {$dialect->seconds('starts_at')}, {$dialect->seconds('ends_at')}"));
    }

    public function done(array $people, array $courses): array
    {
        $done = [];
        $dialect = Dialects::spoken();
        // One row for each person and course: handing out one for each lesson that is done would be most of the work.
        $only = count($courses) === 1 ? (string) array_values($courses)[0] : null;
        $rows = self::among(DB::table('completions'), '', $people, $courses)->groupBy($only === null ? ['course_id', 'person_id'] : ['person_id'])
            ->selectRaw('person_id, '.($only ?? 'course_id').", {$dialect->gathered('item_key', $dialect->seconds('completed_at'))}");
        foreach (Lists::of($rows) as [$person, $course, $items]) {
            $done[(int) $person][(int) $course] = json_decode((string) $items, true);
        }

        /** @var array<int, array<int, array<array-key, int>>> $done */
        return $done;
    }

    /**
     * @param  string  $table  its name and a dot, where there are several
     * @param  list<int>  $people
     * @param  array<int>  $courses
     */
    private static function among(Builder $query, string $table, array $people, array $courses): Builder
    {
        // With a sign before it no index is used for a column.
        return $query->whereRaw(self::of($people, $table))->whereRaw((count($courses) > self::FEW_COURSES ? '+' : '').self::in("{$table}course_id", $courses));
    }

    /**
     * @param  list<int>  $people
     * @param  string  $table  its name and a dot, where there are several
     */
    private static function of(array $people, string $table = ''): string
    {
        if (count($people) <= self::SIDE_BY_SIDE) {
            return self::in("{$table}person_id", $people);
        }
        [$first, $last] = [min($people), max($people)];

        // Of nearly all between two of them the others are read as well: they lie side by side, and nobody is looked for one by one.
        return $last - $first < 1.25 * count($people) ? "{$table}person_id >= {$first} and {$table}person_id <= {$last}" : self::in("{$table}person_id", $people);
    }

    /**
     * As a text at once: what the framework does for each number takes longer than finding its rows.
     *
     * @param  array<int>  $numbers
     */
    private static function in(string $column, array $numbers): string
    {
        return $numbers === [] ? '1 = 0' : "{$column} in (".implode(', ', array_map(intval(...), $numbers)).')';
    }
}
