<?php

declare(strict_types=1);

namespace App\Pages\Staff;

use App\Access\SchoolClock;
use App\Access\Staff\StaffCourses;
use App\Database\Value;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Courses\CourseRow;
use App\Pages\Courses\CoursesPageBuilder;

/** Puts together who works for the school. */
final readonly class StaffPageBuilder
{
    public function __construct(private CoursesPageBuilder $courses, private StaffCourses $staff, private SchoolClock $clock)
    {
    }

    public function page(Person $looks, bool $mayRun): StaffPage
    {
        $people = Person::query()->whereNotNull('role')->orderBy('name')->orderBy('id')->get();
        $edited = $this->staff->of($people);
        $keys = Course::query()->toBase()->pluck('key', 'id')->all();
        $rows = [];
        foreach ($people as $person) {
            $rows[] = new StaffRow(
                $person->id, $person->name, $person->address(), (string) $person->role?->value,
                array_map(static fn (int $course): string => Value::text($keys[$course] ?? ''), $edited[$person->id] ?? []),
                $person->seen_at === null ? null : $this->clock->words($person->seen_at->getTimestamp()), $person->id === $looks->id,
            );
        }

        return new StaffPage($rows, array_map(static fn (CourseRow $row): StaffCourse => new StaffCourse($row->key, $row->title), $this->courses->list()), $mayRun);
    }
}
