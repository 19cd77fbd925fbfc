<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Database\Hand;
use App\Database\Room;
use App\Models\ActRecord;
use App\Models\Person;
use App\People\Acts\ActStep;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\PeopleActs;
use App\People\ChangesOfPeople;
use App\People\Outcomes;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * An act on many people in two parts. First it is prepared, in groups: what it would do to each is reckoned and laid down,
 * with its lines for the log and its letters, while nothing has changed yet; that can be left, and gone on with by
 * another worker. Then it is put in force, all of it in one short transaction that checks that nobody it is about was
 * changed meanwhile, or not at all.
 */
final readonly class StagedActs
{
    /** People looked at in one step. */
    private const GROUP = 500;

    /** Seconds for which what was prepared can be put in force. */
    public const HOLDS = 900;

    /** So often are those prepared anew who were changed at the last moment. */
    private const TRIES = 5;

    public function __construct(private ClockInterface $clock, private PeopleActs $acts, private Mailer $mailer)
    {
    }

    /**
     * @param  array<string, mixed>  $form  of {@see PeopleActs}
     * @param  list<int>  $people
     * @param  ?string  $once  made by the form that asks for it
     */
    public function begin(PeopleAct $act, array $form, array $people, ?Person $actor, ?string $once, ?string $by = null): ActRecord
    {
        return DB::transaction(fn (): ActRecord => ($once === null ? null : ActRecord::query()->where('once', $once)->first()) ?? ActRecord::query()->create([
            'actor_id' => $actor?->id, 'by' => $by, 'told' => mb_substr($act->told(), 0, 250), 'state' => 'preparing', 'form' => $form, 'people' => $people, 'looked' => 0, 'of' => count($people),
            'touched' => 0, 'outcomes' => Outcomes::none()->toJson(), 'once' => $once, 'made_at' => $this->clock->now(), ...ChangesOfPeople::basis(),
        ]));
    }

    /** What it does, as it was when it was asked for. */
    public function actOf(ActRecord $record): PeopleAct
    {
        $actor = Person::query()->find($record->actor_id) ?? throw new CannotAct(Say::text('acts.staged_acts.whoever_asked_for_not'));

        return $this->acts->of($record->form, $actor, $record->made_at->getTimestamp());
    }

    /** Looks at the next group. */
    public function prepareSome(ActRecord $record): void
    {
        try {
            $act = $this->actOf($record);
            $ids = array_slice($record->people, $record->looked, self::GROUP);
            [$steps, $names] = self::steps($act, $ids);
        } catch (CannotAct $e) {
            ActRecord::query()->whereKey($record->id)->where('state', 'preparing')->update(['state' => 'refused', 'problem' => $e->getMessage()]);
            $record->refresh();

            return;
        }
        $outcomes = Outcomes::fromJson($record->outcomes);
        foreach ($steps as $step) {
            $outcomes->add($step, $names[$step->personId] ?? '');
        }
        DB::transaction(function () use ($record, $act, $ids, $steps, $outcomes): void {
            $touched = count(array_filter($steps, static fn (ActStep $step): bool => $step->doesSomething()));
            $looked = $record->looked + count($ids);
            // Another worker may have looked at the same group: what it has laid down stands.
            $mine = ActRecord::query()->whereKey($record->id)->where('state', 'preparing')->where('looked', $record->looked)->update([
                'looked' => $looked, 'touched' => $record->touched + $touched, 'outcomes' => $outcomes->toJson(), 'state' => $looked >= $record->of ? 'prepared' : 'preparing',
            ]);
            if ($mine === 1) {
                $this->layDown($record, $act, $steps);
            }
        });
        $record->refresh();
    }

    /**
     * All of it, or nothing.
     *
     * @throws CannotAct if it is not prepared, was too long ago, or people are changed faster than it can be prepared
     */
    public function putInForce(ActRecord $record): void
    {
        $record->refresh();
        if ($record->state === 'done') {
            return;
        }
        if ($record->made_at->getTimestamp() + self::HOLDS < $this->clock->now()->getTimestamp()) {
            throw new CannotAct(Say::text('acts.staged_acts.that_was_prepared_more'));
        }
        $act = $this->actOf($record);
        for ($try = 0; $try < self::TRIES; $try++) {
            $this->prepareAnew($record, $act, self::changedMeanwhile($record));
            $read = StagedRows::read($record);
            $done = Room::for(static fn (): bool => DB::transaction(static function () use ($record, $read): bool {
                $record->refresh();
                if ($record->state === 'done') {
                    return true;
                }
                if ($record->state !== 'prepared') {
                    throw new CannotAct('That is not prepared, or not any more.');
                }
                self::refuseIfPublished($record);
                if (self::changedMeanwhile($record) !== []) {
                    return false;
                }
                Hand::writes($record->actor_id, "act {$record->id}", static fn () => StagedRows::putInForce($read));
                $record->update(['state' => 'done', 'turn' => ActRecord::nextTurn(), 'people' => []]);

                return true;
            }));
            if ($done) {
                return;
            }
        }
        throw new CannotAct(Say::text('acts.staged_acts.people_that_about_being'));
    }

    /**
     * Sends the letters of an act that is in force, once each.
     *
     * @return bool whether there are more
     */
    public function sendLetters(ActRecord $record): bool
    {
        return DB::transaction(function () use ($record): bool {
            if ($record->refresh()->state !== 'done') {
                return false;
            }
            $rows = DB::table('act_letters')->where('act_id', $record->id)->orderBy('id')->limit(self::GROUP)->get();
            $letters = [];
            foreach ($rows as $row) {
                assert(is_int($row->id) && is_int($row->person_id) && is_string($row->to) && is_string($row->subject) && is_string($row->body));
                $letters[] = new Letter($row->person_id, $row->to, $row->subject, $row->body, "act letter {$row->id}", kind: is_string($row->kind) ? $row->kind : null, stop: is_string($row->stop) ? $row->stop : null);
            }
            $this->mailer->send($letters);
            DB::table('act_letters')->whereIn('id', $rows->pluck('id')->all())->delete();

            return $rows->count() === self::GROUP;
        });
    }

    /** What a pass opens and how long it lasts may be another by now. */
    private static function refuseIfPublished(ActRecord $record): void
    {
        $courses = DB::table('activities')->where('id', '>', $record->basis)->where('action', 'course.published')->pluck('course_id')->all();
        if ($courses !== [] && DB::table('activities')->where('act_id', $record->id)->whereIn('course_id', $courses)->exists()) {
            throw new CannotAct(Say::text('acts.staged_acts.course_has_been_published'));
        }
    }

    /** @return list<int> those of its people to whom something has happened since they were looked at */
    private static function changedMeanwhile(ActRecord $record): array
    {
        $changed = ChangesOfPeople::since($record->basis, $record->basis_turn);

        return $changed === [] ? [] : array_values(array_intersect($changed, $record->people));
    }

    /** @param  list<int>  $people */
    private function prepareAnew(ActRecord $record, PeopleAct $act, array $people): void
    {
        if ($people === []) {
            return;
        }
        $basis = ChangesOfPeople::basis();
        foreach (array_chunk($people, self::GROUP) as $ids) {
            [$steps] = self::steps($act, $ids);
            DB::transaction(function () use ($record, $act, $ids, $steps): void {
                foreach (['act_changes', 'act_letters', 'activities'] as $table) {
                    DB::table($table)->where('act_id', $record->id)->whereIn('person_id', $ids)->delete();
                }
                $this->layDown($record, $act, $steps);
            });
        }
        $record->update([...$basis, 'touched' => DB::table('activities')->where('act_id', $record->id)->where('taken_back', false)->count()]);
    }

    /**
     * @param  list<int>  $ids
     * @return array{list<ActStep>, array<int, string>} with the names by id
     *
     * @throws CannotAct
     */
    private static function steps(PeopleAct $act, array $ids): array
    {
        $people = Person::query()->whereIn('id', $ids)->orderBy('id')->get()->toBase();
        $names = [];
        foreach ($people as $person) {
            $names[$person->id] = $person->name;
        }

        return [$act->steps($people), $names];
    }

    /** @param  list<ActStep>  $steps */
    private function layDown(ActRecord $record, PeopleAct $act, array $steps): void
    {
        StagedRows::add($record, $steps);
        $lines = $letters = [];
        foreach ($steps as $step) {
            if ($step->doesSomething()) {
                $lines[] = [...ActLines::of($act, $step, $record->actor_id, $record->made_at->getTimestamp()), 'act_id' => $record->id];
            }
            if ($step->letter !== null) {
                $letters[] = ['act_id' => $record->id, 'person_id' => $step->personId, 'to' => $step->letter->to, 'subject' => $step->letter->subject, 'body' => $step->letter->body, 'kind' => $step->letter->kind, 'stop' => $step->letter->stop];
            }
        }
        foreach (array_chunk($lines, 200) as $some) {
            DB::table('activities')->insert($some);
        }
        foreach (array_chunk($letters, 200) as $some) {
            DB::table('act_letters')->insert($some);
        }
    }
}
