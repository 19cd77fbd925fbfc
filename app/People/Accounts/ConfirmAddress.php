<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Models\Pass;
use App\Models\Person;
use App\Models\TakenAgain;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Somebody has shown that the address is theirs under which they bought or looked: what that visit holds becomes theirs. It
 * is their account from then on, or comes to the one that they have. To be called inside a transaction.
 */
final readonly class ConfirmAddress
{
    /** What moves, and by which column it is somebody's; what they have already stays as it is. */
    private const MOVES = [
        'passes' => 'person_id', 'purchases' => 'person_id', 'grants' => 'person_id', 'labels' => 'person_id', 'completions' => 'person_id', 'looks' => 'person_id', 'visits' => 'person_id', 'watches' => 'person_id', 'quiz_tries' => 'person_id',
        'posts' => 'person_id', 'messages' => 'person_id', 'act_changes' => 'person_id', 'activities' => 'person_id',
        'letter_choices' => 'person_id', 'trigger_runs' => 'person_id', 'form_answers' => 'person_id',
    ];

    public function __construct(private ActivityLog $log, private EndSessions $endSessions)
    {
    }

    /** @return Person whose account it is */
    public function __invoke(Person $visitor): Person
    {
        $address = $visitor->claimed_email ?? throw new \LogicException('It is confirmed already.');
        $account = Person::query()->where('email', $address)->first();
        if ($account === null) {
            $visitor->forceFill(['email' => $address, 'claimed_email' => null])->save();
            $this->log->note('person.confirmed', $visitor, person: $visitor);
            // Whoever else has typed this address, on whatever device, is no longer in it.
            ($this->endSessions)($visitor);

            return $visitor;
        }
        $this->withdrawSecondTrials($visitor, $account);
        foreach (self::MOVES as $table => $column) {
            self::move($table, $column, $visitor->id, $account->id);
        }
        foreach (['activities', 'people_acts'] as $table) {
            DB::update("update {$table} set actor_id = ? where actor_id = ?", [$account->id, $visitor->id]);
        }
        $visitor->delete();
        $this->log->note('person.confirmed', $account, person: $account, after: ['name' => $visitor->name]);

        return $account;
    }

    /** All but what somebody would then have twice. */
    private static function move(string $table, string $column, int $from, int $to): void
    {
        $query = DB::table($table)->where($column, $from);
        foreach (Schema::getIndexes($table) as $index) {
            if ($index['unique'] && in_array($column, $index['columns'], true)) {
                $same = implode(' and ', array_map(static fn (string $one): string => $one === $column ? "other.\"{$one}\" = ?" : "other.\"{$one}\" = {$table}.\"{$one}\"", $index['columns']));
                $query->whereRaw("not exists (select 1 from {$table} other where {$same})", [$to]);
            }
        }
        $query->update([$column => $to]);
    }

    /**
     * Under an address that was not theirs yet somebody can claim for nothing what they have had already: that is withdrawn, what was paid
     * for is not.
     */
    private function withdrawSecondTrials(Person $visitor, Person $account): void
    {
        $had = Pass::query()->with('offer')->where('person_id', $account->id)->get();
        foreach (Pass::query()->with('offer.course')->where('person_id', $visitor->id)->where('source', 'claimed')->where('state', '!=', 'revoked')->get() as $claimed) {
            $offer = $claimed->offer;
            $again = $had->contains(static fn (Pass $pass): bool => match (true) {
                $pass->offer_id === $offer->id => $offer->again === TakenAgain::Once,
                default => $pass->course_id === $offer->course_id && $offer->not_after_course || in_array($pass->offer->key, $offer->not_after, true),
            });
            if ($again) {
                $claimed->update(['state' => 'revoked']);
                $this->log->note('pass.withdrawn', null, $offer->course, $account, ['offer' => $offer->key, 'state' => 'active'], ['state' => 'revoked']);
            }
        }
    }
}
