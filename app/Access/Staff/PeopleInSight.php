<?php

declare(strict_types=1);

namespace App\Access\Staff;

use App\Models\Course;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Rows;

/** Whom those who edit some courses may know of at one of them: who holds, or held, a pass of it, or was handed something out. */
final readonly class PeopleInSight
{
    public function __construct(private StaffCourses $staff)
    {
    }

    /**
     * Of whoever is at the other end of the request; the program itself, and all who see everybody, leave it as it is.
     *
     * @param  Builder<Person>  $people
     * @return Builder<Person> the same, narrowed
     */
    public function at(Course $course, Builder $people): Builder
    {
        $looks = request()->user();
        if (! $looks instanceof Person || $this->staff->only($looks) === null) {
            return $people;
        }
        $has = static fn (string $table): \Closure => static fn (Rows $query): Rows => $query->from($table)->whereColumn("{$table}.person_id", 'people.id')->where("{$table}.course_id", $course->id);

        return $people->where(static fn (Builder $one): Builder => $one->whereExists($has('passes'))->orWhereExists($has('grants')));
    }
}
