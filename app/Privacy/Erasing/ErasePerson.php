<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Hand;
use App\Models\ErasedPerson;
use App\Models\PeopleFile;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Psr\Clock\ClockInterface;

/**
 * Erases somebody. Who they are goes at once, with all that opens doors; their words, letters and traces in what others have
 * go by the queue right afterwards. A row without a name stays, so that courses are counted as before and no entry of the ledger is altered.
 */
final readonly class ErasePerson
{
    public function __construct(private ActivityLog $log, private ClockInterface $clock)
    {
    }

    /**
     * @param  ?Person  $actor  who does it; null: the schedule, or whoever keeps the machine
     *
     * @throws CannotErase if they work for the school, or are erased already
     */
    public function __invoke(Person $person, ?Person $actor): ErasedPerson
    {
        return Hand::writes($actor?->id, 'erasure', fn (): ErasedPerson => DB::transaction(function () use ($person, $actor): ErasedPerson {
            $person = Person::query()->lockForUpdate()->findOrFail($person->id);
            match (true) {
                $person->erased_at !== null => throw CannotErase::already(),
                $person->isStaff() => throw CannotErase::staff(),
                default => null,
            };
            $erased = ErasedPerson::query()->create([
                'person_id' => $person->id, 'by' => app(Hand::class)->by(), 'state' => 'waiting', 'sought' => Sought::of($person)->kept(), 'gone' => [], 'left' => [], 'erased_at' => $this->clock->now(),
            ]);
            $person->forceFill([
                'name' => Nobody::name($person->id), 'email' => Nobody::address($person->id), 'erased_at' => $this->clock->now(),
                'password' => null, 'remember_token' => null, 'session_key' => bin2hex(random_bytes(20)), 'calendar_token' => null, 'claimed_email' => null, 'language' => null, 'rule_columns' => null, 'csv_form' => null,
            ])->save();
            DB::table('sign_in_links')->where('person_id', $person->id)->delete();
            PeopleFile::shutAll();
            DB::table('observer_ties')->where('observer_id', $person->id)->orWhere('learner_id', $person->id)->delete();
            $this->log->note('person.erased', $actor, person: $person);
            DB::afterCommit(static function () use ($erased): void {
                // By this it is known on the machine, too, whatever backup is brought back there.
                Log::notice("Person {$erased->person_id} was erased.");
                RemoveTraces::dispatch($erased->id);
            });

            return $erased;
        }));
    }
}
