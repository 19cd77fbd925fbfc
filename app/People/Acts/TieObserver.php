<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\CourseShelf;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use App\Standins\Mail\Letter;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Ties an observer to learners, or unties them. What learners hold later is seen by their observers at once. */
final readonly class TieObserver implements PeopleAct
{
    /** Learners whom a letter names; of more it tells how many. */
    private const NAMED = 10;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private Person $observer, private bool $ties)
    {
    }

    public function name(): string
    {
        return $this->ties ? 'observer.tied' : 'observer.untied';
    }

    public function told(): string
    {
        return $this->ties ? "Let {$this->observer->name} observe" : "Let {$this->observer->name} observe no longer";
    }

    public function isHelp(): bool
    {
        return false;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        if ($people->contains('id', $this->observer->id)) {
            throw new CannotAct('Nobody observes themselves.', 'observer');
        }
        $ties = ObserverTie::query()->where('observer_id', $this->observer->id)->whereIn('learner_id', $people->pluck('id')->all())->get()->keyBy('learner_id');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        // One letter for all of a group, with the first of them.
        $new = $this->ties ? $people->filter(static fn (Person $person): bool => ! $ties->has($person->id)) : new Collection;
        $letter = $new->isEmpty() ? null : $this->letter($new);

        return array_values($people->map(function (Person $person) use ($ties, $now, $new, $letter): ActStep {
            $tie = $ties->get($person->id);
            $columns = ['observer_id' => $this->observer->id, 'learner_id' => $person->id, 'created_at' => $now, 'updated_at' => $now];
            if ($this->ties) {
                return $tie !== null ? new ActStep($person->id, 'are observed by them already') : new ActStep($person->id, 'are observed by them from now on', [RowChange::made('observer_ties', $columns)], [], ['observer' => $this->observer->name], letter: $new->first()?->id === $person->id ? $letter : null);
            }

            return $tie === null ? new ActStep($person->id, 'are not observed by them') : new ActStep($person->id, 'are not observed by them any more', [new RowChange('observer_ties', $tie->id, $columns, null)], ['observer' => $this->observer->name]);
        })->all());
    }

    /**
     * To the observer: with whom they look from now on, at which courses, and where.
     *
     * @param  Collection<int, Person>  $learners
     */
    private function letter(Collection $learners): Letter
    {
        $passes = Pass::query()->with('offer')->whereIn('person_id', $learners->take(self::NAMED)->pluck('id')->all())->orderBy('id')->get();
        $lines = [];
        foreach ($learners->take(self::NAMED) as $learner) {
            $courses = $passes->where('person_id', $learner->id)->filter(fn (Pass $pass): bool => Viewers::pass($pass)->isActive($this->clock->now()))->map(fn (Pass $pass): string => $this->shelf->title($pass->course_id))->unique()->implode(', ');
            $lines[] = Say::text($courses === '' ? 'letters.observer.line' : 'letters.observer.line_courses', ['name' => $learner->name, 'courses' => $courses, 'address' => SchoolAddress::of('look-in', ['learner' => $learner->id])]);
        }
        $more = $learners->count() - count($lines);

        return new Letter(
            $this->observer->id, $this->observer->address(),
            Say::text('letters.observer.subject', ['count' => $learners->count(), 'name' => $learners->first()->name ?? '']),
            Say::text('letters.observer.body', ['name' => $this->observer->name, 'lines' => implode("\n", $lines), 'more' => $more, 'courses' => SchoolAddress::of('courses', [])]),
        );
    }
}
