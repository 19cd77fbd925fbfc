<?php

declare(strict_types=1);

namespace App\Numbers;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Course;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** How the trials of a course went, week by week: three queries, however many there were. */
final readonly class Trials
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * Taken up is a trial whose holder was given a pass of the course by another offer that is no trial, once the trial had begun; in the
     * week in which the first of these begins.
     *
     * @return ?list<array{int, int, int}> begun, ended, taken up, for each of the last weeks and the present one; null: the course has no trial
     */
    public function of(Course $course, Weeks $weeks): ?array
    {
        if (DB::table('offers')->where('course_id', $course->id)->where('trial', true)->doesntExist()) {
            return null;
        }
        $bounds = [...$weeks->past(), min($weeks->begins(1), $this->clock->now() + 1)];
        $passes = static fn (bool $trial): Builder => DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')->where('passes.course_id', $course->id)->where('offers.trial', $trial);
        $taken = DB::query()->fromSub(
            $passes(false)->where('passes.state', '!=', 'revoked')
                ->whereExists(static fn (Builder $query) => $query->from('passes as tried')->join('offers as trials', 'trials.id', '=', 'tried.offer_id')->whereColumn('tried.person_id', 'passes.person_id')->where('tried.course_id', $course->id)->where('trials.trial', true)->whereColumn('tried.starts_at', '<=', 'passes.starts_at'))
                ->groupBy('passes.person_id')->selectRaw('min(passes.starts_at) as starts_at'),
            'passes',
        );
        $columns = [self::weekly($passes(true), 'passes.starts_at', $bounds), self::weekly($passes(true), 'passes.ends_at', $bounds), self::weekly($taken, 'starts_at', $bounds)];

        return array_map(static fn (int $begun, int $ended, int $up): array => [$begun, $ended, $up], ...$columns);
    }

    /**
     * @param  list<int>  $bounds  instants
     * @return list<int> how many lie between each and the next
     */
    private static function weekly(Builder $rows, string $column, array $bounds): array
    {
        $stored = array_map(static fn (int $at): string => gmdate('Y-m-d H:i:s', $at), $bounds);
        $rows->where($column, '>=', $stored[0])->where($column, '<', $stored[count($stored) - 1]);
        for ($week = 0; $week + 1 < count($stored); $week++) {
            $rows->selectRaw("sum(case when {$column} >= ? and {$column} < ? then 1 else 0 end) as w{$week}", [$stored[$week], $stored[$week + 1]]);
        }
        $row = (array) $rows->first();

        return array_map(static fn (int $week): int => Value::int($row["w{$week}"] ?? 0), range(0, count($stored) - 2));
    }
}
