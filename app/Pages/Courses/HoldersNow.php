<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\Kept;
use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Course;
use App\Models\Pass;
use Illuminate\Database\Query\Builder;
use SilentKeep\Core\Time\Instant;

/**
 * How many people hold a pass that is active now. What was counted is kept for as long as no pass of the course changes, begins or ends; so
 * only the courses are counted anew of which one did.
 */
final readonly class HoldersNow
{
    public function __construct(private SchoolClock $clock, private Kept $kept)
    {
    }

    /** @return array<int, int> by the course's id; those that nobody holds are left out */
    public function all(): array
    {
        return array_filter(array_map(static fn (HoldersOfCourse $of): int => $of->people, $this->counted()));
    }

    /** @return array<int, int> by the offer's id; those that nobody holds are left out */
    public function byOffer(): array
    {
        return array_replace([], ...array_map(static fn (HoldersOfCourse $of): array => $of->byOffer, $this->counted()));
    }

    /** @return array<int, HoldersOfCourse> by the course's id */
    private function counted(): array
    {
        $now = $this->clock->now();
        $stamps = [];
        // Asked before anything is counted: what changes in between is counted once more.
        foreach (Course::query()->toBase()->leftJoin('pass_changes', 'pass_changes.course_id', '=', 'courses.id')->groupBy('courses.id')->selectRaw('courses.id, coalesce(sum(pass_changes.changes), 0) as changes')->get() as $row) {
            $stamps[Value::int($row->id)] = Value::text($row->changes);
        }

        return $this->kept->all('holders', HoldersOfCourse::class, $stamps, fn (array $courses): array => $this->count($courses, $now, count($courses) === count($stamps)), static fn (HoldersOfCourse $of): bool => $of->holds($now));
    }

    /**
     * @param  list<int>  $courses
     * @param  bool  $all  whether these are all, so that the passes are best read in the order in which they lie
     * @return array<int, HoldersOfCourse>
     */
    private function count(array $courses, int $now, bool $all): array
    {
        $at = gmdate('Y-m-d H:i:s', $now);
        $course = $all ? 'course_id + 0' : 'course_id';
        $passes = static fn (): Builder => Pass::query()->toBase()->when(! $all, static fn (Builder $query): Builder => $query->whereIn('course_id', $courses))
            ->where('state', 'active')->where(fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $at))->selectRaw("{$course} as course, count(distinct case when starts_at <= ? then person_id end) as people", [$at]);
        $byOffer = [];
        foreach ($passes()->addSelect('offer_id')->groupByRaw("{$course}, offer_id")->get() as $row) {
            $byOffer[Value::int($row->course)][Value::int($row->offer_id)] = Value::int($row->people);
        }
        $of = array_fill_keys($courses, new HoldersOfCourse(0, [], $now, Instant::NEVER));
        foreach ($passes()->selectRaw('min(case when starts_at > ? then starts_at end) as begins, min(ends_at) as ends', [$at])->groupByRaw($course)->get() as $row) {
            $id = Value::int($row->course);
            $of[$id] = new HoldersOfCourse(Value::int($row->people), array_filter($byOffer[$id] ?? []), $now, min(self::instant($row->begins), self::instant($row->ends)));
        }

        return $of;
    }

    private static function instant(mixed $at): int
    {
        return $at === null ? Instant::NEVER : Instant::parse(str_replace(' ', 'T', Value::text($at)).'Z');
    }
}
