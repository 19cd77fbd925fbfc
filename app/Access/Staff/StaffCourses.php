<?php

declare(strict_types=1);

namespace App\Access\Staff;

use App\Database\Value;
use App\Models\Course;
use App\Models\Person;
use App\Models\Role;
use Illuminate\Support\Facades\DB;

/** Which courses those who work for the school see and edit. Read once a request. */
final class StaffCourses
{
    /** @var array<int, list<int>> ids of courses by editor */
    private array $edited = [];

    public function maySee(Person $person, Course $course): bool
    {
        return $person->role !== null && ($person->role->seesAll() || in_array($course->id, $this->of([$person])[$person->id], true));
    }

    public function mayEdit(Person $person, Course $course): bool
    {
        return $person->role === Role::Administrator || ($person->role === Role::Editor && $this->maySee($person, $course));
    }

    /** @return ?list<int> ids of the only courses that they see; null: all */
    public function only(Person $person): ?array
    {
        return $this->of([$person])[$person->id] ?? null;
    }

    /**
     * Of those among them who edit some courses; one query, and none where there are none of them.
     *
     * @param  iterable<Person>  $people
     * @return array<int, list<int>> ids of courses, by person
     */
    public function of(iterable $people): array
    {
        $editors = [];
        foreach ($people as $person) {
            if ($person->role === Role::Editor) {
                $editors[] = $person->id;
            }
        }
        $missing = array_values(array_diff($editors, array_keys($this->edited)));
        if ($missing !== []) {
            $this->edited += array_fill_keys($missing, []);
            foreach (DB::table('edited_courses')->whereIntegerInRaw('person_id', $missing)->orderBy('course_id')->get() as $row) {
                $this->edited[Value::int($row->person_id)][] = Value::int($row->course_id);
            }
        }

        return array_intersect_key($this->edited, array_flip($editors));
    }

    public function forget(): void
    {
        $this->edited = [];
    }
}
