<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Label;
use App\Models\Person;
use App\People\Accounts\SendSignInLink;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\School\Letters\WelcomeNewcomer;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/** Brings one person in by hand, with what they get, and sends them a link to sign in. */
final readonly class MakePerson
{
    public function __construct(private ActOnPeople $actOn, private SendSignInLink $links, private WelcomeNewcomer $welcome, private ActivityLog $log)
    {
    }

    /**
     * @param  list<string>  $labels
     * @param  ?PeopleAct  $gives  a pass, where they get one
     *
     * @throws \App\People\Acts\CannotAct
     */
    public function __invoke(string $name, string $email, array $labels, ?PeopleAct $gives, Person $author): Person
    {
        try {
            return $this->make($name, $email, $labels, $gives, $author);
        } catch (UniqueConstraintViolationException) {
            // Somebody else brought them in at the same moment.
            throw new CannotAct(Say::text('refused.new_person_request.somebody_with_address_here'), 'email');
        }
    }

    /** @param  list<string>  $labels */
    private function make(string $name, string $email, array $labels, ?PeopleAct $gives, Person $author): Person
    {
        return DB::transaction(function () use ($name, $email, $labels, $gives, $author): Person {
            $person = Person::query()->create(['name' => $name, 'email' => $email]);
            $this->log->note('person.made', $author, person: $person, after: ['by' => 'by hand']);
            foreach ($labels as $label) {
                Label::query()->create(['person_id' => $person->id, 'label' => $label]);
            }
            if ($gives !== null) {
                ($this->actOn)($gives, ChosenPeople::named([$person->id]), $author);
            }
            ($this->links)($this->welcome->words([$person]));

            return $person;
        });
    }
}
