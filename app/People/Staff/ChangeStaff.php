<?php

declare(strict_types=1);

namespace App\People\Staff;

use App\Access\Staff\StaffCourses;
use App\Models\Person;
use App\Models\Role;
use App\People\Acts\CannotAct;
use App\People\MakePerson;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Who works for the school, as what, and on which courses. There is always somebody who runs it. */
final readonly class ChangeStaff
{
    public function __construct(private MakePerson $make, private StaffCourses $staff, private ActivityLog $log)
    {
    }

    /**
     * Takes somebody on: whoever has that address, or somebody new, who is sent a link to sign in.
     *
     * @param  list<int>  $courses  ids, for who edits some
     *
     * @throws CannotChangeStaff
     */
    public function add(string $email, string $name, Role $role, array $courses, Person $author): Person
    {
        // Only who has shown that the address is theirs: anybody may claim one.
        $person = Person::query()->where('email', $email)->first();
        if ($person?->role !== null) {
            throw CannotChangeStaff::already($person->name);
        }
        if ($person === null && $name === '') {
            throw CannotChangeStaff::nameless();
        }
        try {
            return DB::transaction(function () use ($person, $email, $name, $role, $courses, $author): Person {
                $person ??= ($this->make)($name, $email, [], null, $author);
                $this->set($person, null, $role, $courses, $author);

                return $person;
            });
        } catch (CannotAct) {
            // Somebody else brought them in at the same moment.
            throw CannotChangeStaff::meanwhile();
        }
    }

    /**
     * @param  Role  $from  the role that whoever changes it has seen
     * @param  ?Role  $to  null: they work here no more, and keep what they have as learners
     * @param  list<int>  $courses  ids, for who edits some
     *
     * @throws CannotChangeStaff
     */
    public function change(Person $person, Role $from, ?Role $to, array $courses, Person $author): void
    {
        DB::transaction(fn () => $this->set($person, $from, $to, $courses, $author));
    }

    /** @param  list<int>  $courses */
    private function set(Person $person, ?Role $from, ?Role $to, array $courses, Person $author): void
    {
        if ($from === Role::Administrator && $to !== $from && Person::query()->where('role', $from)->whereKeyNot($person->id)->doesntExist()) {
            throw CannotChangeStaff::last();
        }
        if (Person::query()->whereKey($person->id)->where('role', $from)->update(['role' => $to]) === 0) {
            throw CannotChangeStaff::meanwhile();
        }
        $before = DB::table('edited_courses')->where('person_id', $person->id)->orderBy('course_id')->pluck('course_id')->all();
        DB::table('edited_courses')->where('person_id', $person->id)->delete();
        $edited = $to === Role::Editor ? array_values(array_unique($courses)) : [];
        DB::table('edited_courses')->insert(array_map(static fn (int $course): array => ['person_id' => $person->id, 'course_id' => $course], $edited));
        $this->log->note('staff.changed', $author, person: $person, before: ['role' => $from?->value, 'courses' => $before], after: ['role' => $to?->value, 'courses' => $edited]);
        $this->staff->forget();
    }
}
