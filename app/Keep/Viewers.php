<?php

declare(strict_types=1);

namespace App\Keep;

use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant as CoreGrant;
use SilentKeep\Core\Viewing\Offer as CoreOffer;
use SilentKeep\Core\Viewing\Pass as CorePass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** Tells the core who is looking. Four queries, however many people and courses. */
final class Viewers
{
    public static function visitor(): Viewer
    {
        return new Viewer;
    }

    /** Somebody who holds nothing but one pass, made at an instant as the offer says. */
    public static function holderOf(CoreOffer $offer, int $from, \SilentKeep\Core\Time\SchoolZone $zone): Viewer
    {
        return new Viewer(signedIn: true, passes: [new CorePass($offer->key, $from, $offer->lasts->end($from, $zone))]);
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
        $personIds = $people->map(static fn (Person $person): int => $person->id)->all();
        $courseIds = $courses->map(static fn (Course $course): int => $course->id)->all();
        $labels = Label::query()->whereIn('person_id', $personIds)->get()->groupBy('person_id');
        $passes = Pass::query()->with('offer')->whereIn('person_id', $personIds)->whereIn('course_id', $courseIds)->orderBy('id')->get()->groupBy(['person_id', 'course_id']);
        $grants = Grant::query()->whereIn('person_id', $personIds)->whereIn('course_id', $courseIds)->orderBy('id')->get()->groupBy(['person_id', 'course_id']);
        $done = Completion::query()->whereIn('person_id', $personIds)->whereIn('course_id', $courseIds)->get()->groupBy(['person_id', 'course_id']);
        $viewers = [];
        foreach ($people as $person) {
            foreach ($courses as $course) {
                $viewers[$person->id][$course->id] = new Viewer(
                    staff: $person->isStaff(),
                    signedIn: true,
                    labels: array_values(($labels->get($person->id) ?? new Collection)->map(static fn (Label $label): string => $label->label)->all()),
                    passes: array_map(self::pass(...), self::at($passes, $person->id, $course->id)),
                    grants: array_map(self::grant(...), self::at($grants, $person->id, $course->id)),
                    done: self::done(self::at($done, $person->id, $course->id)),
                );
            }
        }

        return $viewers;
    }

    /**
     * @template T
     *
     * @param  Collection<array-key, Collection<array-key, T>>  $grouped  twice, by person and by course
     * @return list<T>
     */
    private static function at(Collection $grouped, int $person, int $course): array
    {
        $ofPerson = $grouped->get($person);
        $ofCourse = $ofPerson?->get($course);

        return $ofCourse instanceof Collection ? array_values($ofCourse->all()) : [];
    }

    private static function pass(Pass $pass): CorePass
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

    /**
     * @param  list<Completion>  $completions
     * @return array<array-key, int>
     */
    private static function done(array $completions): array
    {
        $done = [];
        foreach ($completions as $completion) {
            $done[$completion->item_key] = $completion->completed_at->getTimestamp();
        }

        return $done;
    }
}
