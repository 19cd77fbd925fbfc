<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Label;
use App\Models\Person;
use App\People\PeoplesLabels;
use App\Words\Say;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Gives people a label, for good or for a time, or takes it from them. What a pass gives is the pass's to take. */
final readonly class SetLabel implements PeopleAct
{
    /**
     * @param  ?int  $until  instant at which it is held no longer; null: for good
     * @param  ?string  $source  what gives it; null: somebody, by hand
     */
    public function __construct(private SchoolClock $clock, private string $label, private bool $has, private ?int $until = null, private ?string $source = null)
    {
        if ($until !== null && $until <= $clock->now()) {
            throw new CannotAct(Say::text('acts.set_label.that_is_over_already'), 'until');
        }
    }

    public function name(): string
    {
        return $this->has ? 'label.given' : 'label.taken';
    }

    public function told(): string
    {
        return match (true) {
            ! $this->has => Say::text('acts.set_label.take_label', ['label' => $this->label]),
            $this->until === null => Say::text('acts.set_label.give_label', ['label' => $this->label]),
            default => Say::text('acts.set_label.give_label_to', ['label' => $this->label, 'when' => $this->clock->words($this->until)]),
        };
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
        $ids = $people->pluck('id')->all();
        $rows = Label::query()->where('label', $this->label)->whereIn('person_id', $ids)->get()->keyBy('person_id');
        $have = $this->has ? [] : array_fill_keys(array_map(Value::int(...), DB::query()->fromSub(PeoplesLabels::whoHave($this->label, $this->clock->now()), 'held')->whereIn('person_id', $ids)->pluck('person_id')->all()), true);

        return array_values($people->map(fn (Person $person): ActStep => $this->has
            ? $this->give($person, $rows->get($person->id))
            : $this->take($person, $rows->get($person->id), isset($have[$person->id])))->all());
    }

    private function give(Person $person, ?Label $row): ActStep
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $until = $this->until === null ? null : gmdate('Y-m-d H:i:s', $this->until);
        $words = $this->until === null ? Say::text('acts.set_label.get_it') : Say::text('acts.set_label.get_it_to_when', ['when' => $this->clock->words($this->until)]);
        if ($row === null) {
            $columns = ['person_id' => $person->id, 'label' => $this->label, 'source' => $this->source ?? Say::text('acts.set_label.by_hand'), 'starts_at' => $until === null ? null : $now, 'ends_at' => $until];

            return new ActStep($person->id, $words, [RowChange::made('labels', $columns)], [], ['label' => $this->label, 'until' => $until]);
        }
        $ends = self::stored($row->ends_at);
        if ($ends === null) {
            return new ActStep($person->id, $this->until === null ? Say::text('acts.set_label.have_it_already') : Say::text('acts.set_label.have_for_good_already'));
        }
        if ($ends === $until) {
            return new ActStep($person->id, Say::text('acts.have_as_long_already'));
        }
        $over = $ends <= $now;
        $before = ['starts_at' => self::stored($row->starts_at), 'ends_at' => $ends];
        $after = ['starts_at' => $until === null ? null : ($over ? $now : $before['starts_at']), 'ends_at' => $until];

        return new ActStep($person->id, $over ? $words : ($until === null ? Say::text('acts.set_label.have_for_good_now') : ($until > $ends ? Say::text('acts.set_label.have_it_longer') : Say::text('acts.set_label.have_for_less_time'))), [new RowChange('labels', $row->id, $before, $after)], ['until' => $over ? null : $ends], ['label' => $this->label, 'until' => $until]);
    }

    private function take(Person $person, ?Label $row, bool $has): ActStep
    {
        if (! $has) {
            return new ActStep($person->id, Say::text('acts.set_label.do_not_have_it'));
        }
        if ($row === null) {
            return new ActStep($person->id, Say::text('acts.set_label.have_by_pass_for'));
        }
        $columns = ['person_id' => $person->id, 'label' => $this->label, 'source' => $row->source, 'starts_at' => self::stored($row->starts_at), 'ends_at' => self::stored($row->ends_at)];

        return new ActStep($person->id, Say::text('acts.set_label.lose_it'), [new RowChange('labels', $row->id, $columns, null)], ['label' => $this->label]);
    }

    private static function stored(?\DateTimeImmutable $instant): ?string
    {
        return $instant === null ? null : gmdate('Y-m-d H:i:s', $instant->getTimestamp());
    }
}
