<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Models\Course;
use App\Models\Person;
use App\Models\VantageSet;

/** Keeps vantages under a name; the same name again replaces them. */
final readonly class SaveVantages
{
    /** @param  list<string>  $vantages  as addresses name them */
    public function __invoke(Course $course, Person $person, string $name, array $vantages): VantageSet
    {
        return VantageSet::query()->updateOrCreate(['person_id' => $person->id, 'course_id' => $course->id, 'name' => $name], ['vantages' => $vantages]);
    }

    public function forget(Course $course, Person $person, int $id): void
    {
        VantageSet::query()->where('person_id', $person->id)->where('course_id', $course->id)->where('id', $id)->delete();
    }
}
