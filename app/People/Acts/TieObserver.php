<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\ObserverTie;
use App\Models\Person;
use App\People\ObserverLetters;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Ties an observer to learners, or unties them. What learners hold later is seen by their observers at once. */
final readonly class TieObserver implements PeopleAct
{
    public function __construct(private SchoolClock $clock, private ObserverLetters $letters, private Person $observer, private bool $ties)
    {
    }

    public function name(): string
    {
        return $this->ties ? 'observer.tied' : 'observer.untied';
    }

    public function told(): string
    {
        return $this->ties ? Say::text('acts.tie_observer.let_name_observe', ['name' => $this->observer->name]) : Say::text('acts.tie_observer.let_name_observe_no', ['name' => $this->observer->name]);
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
            throw new CannotAct(Say::text('acts.tie_observer.nobody_observes_themselves'), 'observer');
        }
        $ties = ObserverTie::query()->where('observer_id', $this->observer->id)->whereIn('learner_id', $people->pluck('id')->all())->get()->keyBy('learner_id');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        // One letter for all of a group, with the first of them.
        $new = $this->ties ? $people->filter(static fn (Person $person): bool => ! $ties->has($person->id)) : new Collection;
        $letter = $new->isEmpty() ? null : $this->letters->to($this->observer, $new);

        return array_values($people->map(function (Person $person) use ($ties, $now, $new, $letter): ActStep {
            $tie = $ties->get($person->id);
            $columns = ['observer_id' => $this->observer->id, 'learner_id' => $person->id, 'created_at' => $now, 'updated_at' => $now];
            if ($this->ties) {
                return $tie !== null ? new ActStep($person->id, Say::text('acts.tie_observer.observed_by_them_already')) : new ActStep($person->id, Say::text('acts.tie_observer.observed_by_them_from'), [RowChange::made('observer_ties', $columns)], [], ['observer' => $this->observer->name], letter: $new->first()?->id === $person->id ? $letter : null);
            }

            return $tie === null ? new ActStep($person->id, Say::text('acts.tie_observer.not_observed_by_them')) : new ActStep($person->id, Say::text('acts.tie_observer.not_observed_by_them_any'), [new RowChange('observer_ties', $tie->id, $columns, null)], ['observer' => $this->observer->name]);
        })->all());
    }
}
