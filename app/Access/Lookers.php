<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Course;
use App\Models\ObserverTie;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Viewing\Viewer;

/** Tells the core of whoever looks, and of the learners they may look with. */
final readonly class Lookers
{
    public function __construct(private Viewers $viewers)
    {
    }

    public function viewer(Looker $looker, Course $course): Viewer
    {
        $people = array_values(array_filter([$looker->person, $looker->observed]));
        if ($people === []) {
            return $looker->guest ? Viewers::guest() : Viewers::visitor();
        }
        $viewers = $this->viewers->ofAll(new Collection($people), new Collection([$course]));
        $own = $looker->person === null ? Viewers::visitor() : $viewers[$looker->person->id][$course->id];
        $observed = $looker->observed === null ? null : $viewers[$looker->observed->id][$course->id];

        return Viewers::lookingWith($own, $observed, $looker->guest);
    }

    /** Null where the one is not tied to the other, or not any more. */
    public function observed(Person $observer, int $learner): ?Person
    {
        return ObserverTie::query()->with('learner')->where('observer_id', $observer->id)->where('learner_id', $learner)->first()?->learner;
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
}
