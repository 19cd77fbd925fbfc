<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Person;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/** Opens an account for somebody who gives their name and address; they are sent a link to come back by. */
final readonly class OpenAccount
{
    public function __construct(private SendSignInLink $links, private Journal $journal)
    {
    }

    /**
     * @param  string  $why  for the history
     * @return ?Person null where there is an account with this address: whoever has it must sign in
     */
    public function __invoke(string $name, string $email, string $why): ?Person
    {
        $email = mb_strtolower(trim($email));
        if (Person::query()->where('email', $email)->exists()) {
            return null;
        }
        try {
            return DB::transaction(function () use ($name, $email, $why): Person {
                $person = Person::query()->create(['name' => trim($name), 'email' => $email]);
                $this->journal->note('person.made', null, person: $person, after: ['by' => $why]);
                ($this->links)([['person' => $person, 'subject' => 'Your account', 'before' => 'Your account is open. You are signed in where you opened it.']]);

                return $person;
            });
        } catch (UniqueConstraintViolationException) {
            // Somebody else was faster, or the button was pressed twice.
            return null;
        }
    }
}
