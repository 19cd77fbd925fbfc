<?php

declare(strict_types=1);

namespace App\People;

use App\Access\CourseShelf;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Pass;
use App\Models\Person;
use App\Standins\Mail\Letter;
use App\Words\Say;
use Illuminate\Support\Collection;

/** To observers: with whom they look from now on, at which courses, and where. */
final readonly class ObserverLetters
{
    /** Learners whom a letter names; of more it tells how many. */
    private const NAMED = 10;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /** @param  Collection<int, Person>  $learners  not none */
    public function to(Person $observer, Collection $learners): Letter
    {
        return $this->toAll([['observer' => $observer, 'learners' => $learners]])[0];
    }

    /**
     * One query for all of them.
     *
     * @param  non-empty-list<array{observer: Person, learners: Collection<int, Person>}>  $ties
     * @return non-empty-list<Letter>
     */
    public function toAll(array $ties): array
    {
        $named = array_unique(array_merge(...array_map(static fn (array $tie): array => $tie['learners']->take(self::NAMED)->pluck('id')->all(), $ties)));
        $courses = [];
        foreach (Pass::query()->with('offer')->whereIn('person_id', $named)->orderBy('id')->get() as $pass) {
            if (Viewers::pass($pass)->isActive($this->clock->now())) {
                $courses[$pass->person_id][$pass->course_id] = $this->shelf->title($pass->course_id);
            }
        }

        return array_map(fn (array $tie): Letter => $this->letter($tie['observer'], $tie['learners'], $courses), $ties);
    }

    /**
     * @param  Collection<int, Person>  $learners
     * @param  array<int, array<int, string>>  $courses  titles, by person
     */
    private function letter(Person $observer, Collection $learners, array $courses): Letter
    {
        $lines = [];
        foreach ($learners->take(self::NAMED) as $learner) {
            $theirs = implode(', ', $courses[$learner->id] ?? []);
            $lines[] = Say::text($theirs === '' ? 'letters.observer.line' : 'letters.observer.line_courses', ['name' => $learner->name, 'courses' => $theirs, 'address' => SchoolAddress::of('look-in', ['learner' => $learner->id])]);
        }
        $more = $learners->count() - count($lines);

        return new Letter(
            $observer->id, $observer->address(),
            Say::text('letters.observer.subject', ['count' => $learners->count(), 'name' => $learners->first()->name ?? '']),
            Say::text('letters.observer.body', ['name' => $observer->name, 'lines' => implode("\n", $lines), 'more' => $more, 'courses' => SchoolAddress::of('courses', [])]),
        );
    }
}
