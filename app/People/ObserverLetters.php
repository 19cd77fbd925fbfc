<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Models\Pass;
use App\Models\Person;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\WriteLetters;
use App\Standins\Mail\Letter;
use App\Words\Say;
use Illuminate\Support\Collection;

/** To observers: with whom they look from now on, at which courses, and where. */
final readonly class ObserverLetters
{
    /** Learners whom a letter names; of more it tells how many. */
    private const NAMED = 10;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private WriteLetters $write, private InTheirLanguage $language)
    {
    }

    /**
     * @param  Collection<int, Person>  $learners  not none
     * @return ?Letter null where they want none, or the school writes none
     */
    public function to(Person $observer, Collection $learners): ?Letter
    {
        return $this->toAll([['observer' => $observer, 'learners' => $learners]])[0] ?? null;
    }

    /**
     * One query for all of them.
     *
     * @param  non-empty-list<array{observer: Person, learners: Collection<int, Person>}>  $ties
     * @return list<?Letter> in the same order; null where they want none, or the school writes none
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

        return $this->write->made(LetterKind::Observer, array_map(fn (array $tie): LetterTo => $this->language->say($tie['observer'], fn (): LetterTo => $this->letter($tie['observer'], $tie['learners'], $courses)), $ties));
    }

    /**
     * @param  Collection<int, Person>  $learners
     * @param  array<int, array<int, string>>  $courses  titles, by person
     */
    private function letter(Person $observer, Collection $learners, array $courses): LetterTo
    {
        $lines = [];
        foreach ($learners->take(self::NAMED) as $learner) {
            $theirs = implode(', ', $courses[$learner->id] ?? []);
            $lines[] = Say::text($theirs === '' ? 'letters.observer.line' : 'letters.observer.line_courses', ['name' => $learner->name, 'courses' => $theirs, 'address' => SchoolAddress::of('look-in', ['learner' => $learner->id])]);
        }
        $more = $learners->count() - count($lines);
        if ($more > 0) {
            $lines[] = Say::text('letters.observer.more', ['more' => $more, 'courses' => SchoolAddress::of('courses', [])]);
        }

        return LetterTo::person($observer, ['learners' => $learners->count() === 1 ? $learners->first()->name ?? '' : Say::text('letters.observer.several', ['count' => $learners->count()]), 'lines' => implode("\n", $lines), 'address' => SchoolAddress::of('courses', [])]);
    }
}
