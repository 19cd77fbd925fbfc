<?php

declare(strict_types=1);

namespace App\People;

use App\Database\Hand;
use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\Person;
use App\People\Acts\ActStep;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\People\Staged\ActLines;
use App\People\Staged\PrepareAct;
use App\People\Staged\SendActLetters;
use App\People\Staged\StagedActs;
use App\People\Staged\StagedRows;
use App\Standins\Mail\Mailer;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Does something to one person or to many, all of it or nothing, and remembers how to take it back. */
final readonly class ActOnPeople
{
    /** Up to so many people it is reckoned and done in one transaction; more are prepared before. */
    private const IN_PASSING = 100;

    /** Up to so many people a page waits for it; more are left to the queue. */
    public const AT_ONCE = 2000;

    /** People are loaded in groups of this many, so that memory does not grow with their number. */
    private const GROUP = 500;

    public function __construct(private ClockInterface $clock, private StagedActs $staged, private Mailer $mailer)
    {
    }

    /**
     * What it would do: how many people by outcome, those first to whom something happens.
     *
     * @return array<array-key, array{count: int, changes: bool, names: list<string>}>
     *
     * @throws CannotAct
     */
    public function preview(PeopleAct $act, ChosenPeople $people): array
    {
        $outcomes = Outcomes::none();
        foreach (array_chunk($people->ids(), self::GROUP) as $some) {
            $group = Person::query()->whereIn('id', $some)->orderBy('id')->get()->toBase();
            $names = $group->pluck('name', 'id')->all();
            foreach ($act->steps($group) as $step) {
                $outcomes->add($step, is_string($names[$step->personId]) ? $names[$step->personId] : '');
            }
        }

        return $outcomes->sorted();
    }

    /**
     * Has the queue prepare it; it is done when somebody has seen what it would do, and says so.
     *
     * @param  array<string, mixed>  $form
     */
    public function prepare(PeopleAct $act, array $form, ChosenPeople $people, Person $actor, ?string $once): ActRecord
    {
        $record = $this->staged->begin($act, $form, $people->ids(), $actor, $once);
        if ($record->wasRecentlyCreated) {
            PrepareAct::dispatch($record->id);
        }

        return $record->refresh();
    }

    /**
     * At once.
     *
     * @param  array<string, mixed>  $form  from which the act was made; not needed for a few people
     * @param  ?string  $once  made by the form that asks for it: twice the same is done once
     * @param  ?string  $by  name of what has it done, where nobody does, or through which the actor does
     * @return array{?ActRecord, int} what was done, where anything was; to how many people
     *
     * @throws CannotAct
     */
    public function __invoke(PeopleAct $act, ChosenPeople $people, ?Person $actor, ?string $once = null, array $form = [], ?string $by = null): array
    {
        $ids = $people->ids();
        if (count($ids) <= self::IN_PASSING) {
            return DB::transaction(fn (): array => $this->inPassing($act, $ids, $actor, $once, $by));
        }
        $record = $this->staged->begin($act, $form, $ids, $actor, $once, $by);
        while ($record->state === 'preparing') {
            $this->staged->prepareSome($record);
        }
        if ($record->state === 'refused') {
            throw new CannotAct($record->problem ?? Say::text('people_told.act_on_people.that_cannot_be_done'));
        }

        return $this->perform($record);
    }

    /**
     * What was prepared.
     *
     * @return array{?ActRecord, int} what was done, where anything was; to how many people
     *
     * @throws CannotAct
     */
    public function perform(ActRecord $record): array
    {
        $this->staged->putInForce($record);
        if ($record->touched > self::AT_ONCE) {
            SendActLetters::dispatch($record->id);
        } else {
            while ($this->staged->sendLetters($record)) {
                // Group by group.
            }
        }

        return [$record->touched === 0 ? null : $record, $record->touched];
    }

    /**
     * @param  list<int>  $ids
     * @return array{?ActRecord, int}
     */
    private function inPassing(PeopleAct $act, array $ids, ?Person $actor, ?string $once, ?string $by): array
    {
        $before = $once === null ? null : ActRecord::query()->where('once', $once)->first();
        if ($before !== null) {
            return [$before->touched === 0 ? null : $before, $before->touched];
        }
        $now = $this->clock->now();
        $steps = array_values(array_filter($act->steps(Person::query()->whereIn('id', $ids)->orderBy('id')->get()->toBase()), static fn (ActStep $step): bool => $step->doesSomething()));
        if ($steps === []) {
            return [null, 0];
        }
        $record = ActRecord::query()->create(['actor_id' => $actor?->id, 'by' => $by, 'told' => mb_substr($act->told(), 0, 250), 'touched' => count($steps), 'turn' => ActRecord::nextTurn(), 'once' => $once, 'made_at' => $now]);
        $lines = $rows = $letters = [];
        foreach ($steps as $step) {
            foreach ($step->changes as $change) {
                $rows[] = StagedRows::row($record, $step->personId, Hand::writes($actor?->id, "act {$record->id}", fn (): RowChange => $this->apply($change)));
            }
            if ($step->letter !== null) {
                $letters[] = $step->letter;
            }
            $lines[] = ActLines::of($act, $step, $actor?->id, $now->getTimestamp());
        }
        if ($act->canBeUndone()) {
            DB::table('act_changes')->insert($rows);
        }
        Activity::query()->insert($lines);
        $this->mailer->send($letters);

        return [$record->refresh(), count($steps)];
    }

    private function apply(RowChange $change): RowChange
    {
        $table = DB::table($change->table);
        if ($change->id === null) {
            return $change->withId($table->insertGetId($change->after ?? []));
        }
        if ($change->after === null) {
            $table->where('id', $change->id)->delete();
        } else {
            $table->where('id', $change->id)->update($change->after);
        }

        return $change;
    }
}
