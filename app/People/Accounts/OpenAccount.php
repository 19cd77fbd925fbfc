<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Models\Person;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Lets somebody in who gives a name and an address, on the device where they do. What they get there is theirs alone once
 * they use the link in the letter that is sent to that address; until then nothing of anybody's account is theirs, and
 * nobody learns whether there is one.
 */
final readonly class OpenAccount
{
    public function __construct(private SendSignInLink $links, private ActivityLog $log)
    {
    }

    /** @param  string  $why  for the history */
    public function __invoke(string $name, string $email, string $why): Person
    {
        return DB::transaction(function () use ($name, $email, $why): Person {
            $person = Person::query()->create(['name' => trim($name), 'email' => strtolower((string) Str::ulid()).'@unconfirmed.invalid', 'claimed_email' => mb_strtolower(trim($email))]);
            $this->log->note('person.made', null, person: $person, after: ['by' => $why]);
            ($this->links)([['person' => $person, 'subject' => Say::text('letters.address.subject'), 'before' => Say::text('letters.address.before', ['why' => $why])]]);

            return $person;
        });
    }
}
