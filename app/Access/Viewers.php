<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant as CoreGrant;
use SilentKeep\Core\Viewing\Offer as CoreOffer;
use SilentKeep\Core\Viewing\Pass as CorePass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;

/** Tells the core who is looking, and with whom. Five queries, however many people and courses. */
final class Viewers
{
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
        $personIds = $people->map(static fn (Person $person): int => $person->id)->all();
        [$labels, $timed] = self::labels($personIds);
        $passes = $elsewhere = $grants = $done = [];
        $giving = Offer::query()->select('id')->where('labels', '!=', '[]');
        $wanted = static fn (Builder $query): Builder => $query->whereIntegerInRaw('course_id', $courseIds)->orWhereIn('offer_id', $giving);
        foreach (Pass::query()->with('offer')->whereIntegerInRaw('person_id', $personIds)->where($wanted)->orderBy('id')->get() as $pass) {
            $passes[$pass->person_id][$pass->course_id][] = self::pass($pass);
            foreach ($pass->state === PassState::Active->value ? $pass->offer->labels : [] as $label) {
                $elsewhere[$pass->person_id][] = [$pass->course_id, new TimedLabel($label, $pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp() ?? Instant::NEVER)];
            }
        }
        foreach (Grant::query()->whereIntegerInRaw('person_id', $personIds)->whereIntegerInRaw('course_id', $courseIds)->orderBy('id')->get() as $grant) {
            $grants[$grant->person_id][$grant->course_id][] = self::grant($grant);
        }
        foreach (Completion::query()->whereIntegerInRaw('person_id', $personIds)->whereIntegerInRaw('course_id', $courseIds)->get() as $completion) {
            $done[$completion->person_id][$completion->course_id][$completion->item_key] = $completion->completed_at->getTimestamp();
        }
        $viewers = [];
        foreach ($people as $person) {
            [$id, $staff] = [$person->id, $person->isStaff()];
            foreach ($courseIds as $course) {
                $viewers[$id][$course] = new Viewer(
                    staff: $staff,
                    signedIn: true,
                    labels: $labels[$id] ?? [],
                    passes: $passes[$id][$course] ?? [],
                    grants: $grants[$id][$course] ?? [],
                    done: $done[$id][$course] ?? [],
                    timedLabels: [...$timed[$id] ?? [], ...self::givenElsewhere($elsewhere[$id] ?? [], $course)],
                );
            }
        }

        return $viewers;
    }

    /**
     * @param  array<int>  $people
     * @return array{array<int, list<string>>, array<int, list<TimedLabel>>} by person: held for good; held for a time
     */
    private static function labels(array $people): array
    {
        $lasting = $timed = [];
        foreach (Label::query()->whereIntegerInRaw('person_id', $people)->orderBy('id')->get() as $label) {
            if ($label->starts_at === null && $label->ends_at === null) {
                $lasting[$label->person_id][] = $label->label;
            } else {
                $timed[$label->person_id][] = new TimedLabel($label->label, $label->starts_at?->getTimestamp() ?? 0, $label->ends_at?->getTimestamp() ?? Instant::NEVER);
            }
        }

        return [$lasting, $timed];
    }

    /**
     * What passes of other courses give: a course's own rules do not know their offers.
     *
     * @param  list<array{int, TimedLabel}>  $given  with the course of the pass
     * @return list<TimedLabel>
     */
    private static function givenElsewhere(array $given, int $course): array
    {
        return array_values(array_map(static fn (array $one): TimedLabel => $one[1], array_filter($given, static fn (array $one): bool => $one[0] !== $course)));
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

    private static function grant(Grant $grant): CoreGrant
    {
        return new CoreGrant($grant->item_key, $grant->starts_at->getTimestamp(), $grant->ends_at?->getTimestamp() ?? Instant::NEVER);
    }
}
