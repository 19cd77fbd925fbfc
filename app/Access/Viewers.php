<?php

declare(strict_types=1);

namespace App\Access;

use App\Access\Staff\StaffCourses;
use App\Models\Course;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer as CoreOffer;
use SilentKeep\Core\Viewing\Pass as CorePass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** Tells the core who is looking, and with whom. Four queries, however many people and courses. */
final class Viewers
{
    public function __construct(private ViewerRows $rows, private StaffCourses $staff)
    {
    }

    public static function visitor(): Viewer
    {
        return new Viewer;
    }

    public static function guest(): Viewer
    {
        return (new Viewer)->asGuest(guest: true);
    }

    /** Signed in, and no more. */
    public static function member(): Viewer
    {
        return (new Viewer)->signedIn();
    }

    /** Somebody who holds nothing but one pass, made at an instant as the offer says. */
    public static function holderOf(CoreOffer $offer, int $from, \SilentKeep\Core\Time\SchoolZone $zone): Viewer
    {
        return self::member()->withPass(new CorePass($offer->key, $from, $offer->lasts->end($from, $zone)));
    }

    /** Somebody signed in who looks with a learner, and holds nothing. */
    public static function observerOf(Viewer $learner): Viewer
    {
        return self::member()->observing($learner);
    }

    /** Somebody with all that is theirs, who looks with a learner. */
    public static function lookingWith(Viewer $own, ?Viewer $learner, bool $guest = false): Viewer
    {
        return $own->asGuest($guest)->observing($learner);
    }

    public function of(?Person $person, Course $course): Viewer
    {
        if ($person === null) {
            return self::visitor();
        }

        return $this->ofAll(new Collection([$person]), new Collection([$course]))[$person->id][$course->id];
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Course>  $courses
     * @return array<int, array<int, Viewer>> by person and course
     */
    public function ofAll(Collection $people, Collection $courses): array
    {
        return $this->in($people, $courses->map(static fn (Course $course): int => $course->id)->all());
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<int>  $courseIds
     * @return array<int, array<int, Viewer>> by person and course
     */
    public function in(Collection $people, array $courseIds): array
    {
        return iterator_to_array($this->rows->each($this->staffAmong($people), $courseIds));
    }

    /**
     * Of very many, each only at the courses that are asked for of them.
     *
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses  ids, by person
     * @return \Generator<int, array<int, Viewer>> by person and course
     */
    public function inTheirs(Collection $people, array $courses): \Generator
    {
        return $this->rows->each($this->staffAmong($people), array_keys(array_flip(array_merge([], ...array_values($courses)))), $courses);
    }

    /**
     * @param  Collection<int, Person>  $people
     * @return array<int, bool|list<int>> whether they are staff, or in which courses, by person
     */
    private function staffAmong(Collection $people): array
    {
        $edited = $this->staff->of($people);
        $staff = [];
        foreach ($people as $person) {
            $id = $person->id;
            $staff[$id] = $edited[$id] ?? $person->isStaff();
        }

        return $staff;
    }

    /**
     * Of many people at one course, one after another.
     *
     * @param  array<int, bool>  $people  whether they are staff, by id
     * @return \Generator<int, Viewer> by person, in the order of their ids
     */
    public function each(array $people, Course $course): \Generator
    {
        foreach ($this->rows->each($people, [$course->id]) as $person => $viewers) {
            yield $person => $viewers[$course->id];
        }
    }

    /** Whoever is at the other end, with whom they look and as whom they came. */
    public function lookingAt(Looker $looker, Course $course): Viewer
    {
        $people = array_values(array_filter([$looker->person, $looker->observed]));
        if ($people === []) {
            return $looker->guest ? self::guest() : self::visitor();
        }
        $viewers = $this->ofAll(new Collection($people), new Collection([$course]));
        $own = $looker->person === null ? self::visitor() : $viewers[$looker->person->id][$course->id];
        $observed = $looker->observed === null ? null : $viewers[$looker->observed->id][$course->id];

        return self::lookingWith($own, $observed, $looker->guest);
    }

    /** Null where the one is not tied to the other, or not any more. */
    public function observed(Person $observer, int $learner): ?Person
    {
        return ObserverTie::query()->with('learner')->where('observer_id', $observer->id)->where('learner_id', $learner)->first()?->learner;
    }

    /** The one with whom somebody came to look: they observe nobody else, and hold and run nothing themselves. */
    public function onlyLearnerOf(Person $observer): ?Person
    {
        $ties = $observer->isStaff() ? new Collection : ObserverTie::query()->with('learner')->where('observer_id', $observer->id)->limit(2)->get();

        return $ties->count() === 1 && Pass::query()->where('person_id', $observer->id)->doesntExist() ? $ties->first()?->learner : null;
    }

    /** @return list<FoundPerson> with whom somebody may look; their addresses are not told */
    public function learnersOf(Person $observer): array
    {
        $learners = [];
        foreach (ObserverTie::query()->with('learner')->where('observer_id', $observer->id)->orderBy('id')->get() as $tie) {
            $learners[] = new FoundPerson($tie->learner->id, $tie->learner->name, '');
        }

        return $learners;
    }

    /** The course whose guest link it is. */
    public function courseOf(string $guestToken): ?Course
    {
        return Course::query()->with('liveRevision')->where('guest_token', $guestToken)->first();
    }

    public static function pass(Pass $pass): CorePass
    {
        return new CorePass(
            $pass->offer->key,
            $pass->starts_at->getTimestamp(),
            $pass->ends_at?->getTimestamp() ?? Instant::NEVER,
            PassState::from($pass->state),
            $pass->paced_from?->getTimestamp(),
        );
    }
}
