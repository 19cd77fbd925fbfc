<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Label;
use App\Models\Person;
use Illuminate\Support\Collection;

/** Gives people a label, or takes it from them. */
final readonly class SetLabel implements PeopleAct
{
    public function __construct(private string $label, private bool $has)
    {
    }

    public function name(): string
    {
        return $this->has ? 'label.given' : 'label.taken';
    }

    public function told(): string
    {
        return ($this->has ? 'Give the label ' : 'Take the label ').$this->label;
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
        $rows = Label::query()->where('label', $this->label)->whereIn('person_id', $people->pluck('id')->all())->get()->keyBy('person_id');

        return array_values($people->map(function (Person $person) use ($rows): ActStep {
            $row = $rows->get($person->id);
            if ($this->has) {
                return $row !== null ? new ActStep($person->id, 'have it already')
                    : new ActStep($person->id, 'get it', [RowChange::made('labels', ['person_id' => $person->id, 'label' => $this->label, 'source' => 'by hand'])], [], ['label' => $this->label]);
            }

            return $row === null ? new ActStep($person->id, 'do not have it')
                : new ActStep($person->id, 'lose it', [new RowChange('labels', $row->id, ['person_id' => $person->id, 'label' => $this->label, 'source' => $row->source], null)], ['label' => $this->label]);
        })->all());
    }
}
