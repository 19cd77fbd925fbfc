<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Models\Person;
use App\Models\SignInLink;
use App\Privacy\Erasing\CannotErase;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/** Corrects what somebody is called and where letters to them go. */
final readonly class CorrectPerson
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  string  $from  the address that was shown to whoever corrects it
     *
     * @throws \DomainException if somebody else has that address, or it was changed meanwhile
     * @throws CannotErase if they are erased
     */
    public function __invoke(Person $person, string $name, string $email, string $from, Person $author): void
    {
        try {
            DB::transaction(function () use ($person, $name, $email, $from, $author): void {
                $person = Person::query()->lockForUpdate()->findOrFail($person->id);
                match (true) {
                    $person->erased_at !== null => throw CannotErase::already(),
                    $person->address() !== $from => throw new \DomainException(Say::text('privacy_told.refused.meanwhile')),
                    default => null,
                };
                $before = ['name' => $person->name, 'email' => $person->address()];
                $moves = $email !== $person->address();
                $person->forceFill(['name' => $name, ...($moves ? ['email' => $email, 'claimed_email' => null] : [])])->save();
                if ($person->wasChanged()) {
                    $this->log->note('person.corrected', $author, person: $person, before: $before, after: ['name' => $name, 'email' => $email]);
                }
                if ($moves) {
                    // What lies in the old letterbox opens nothing any more.
                    SignInLink::query()->where('person_id', $person->id)->delete();
                }
            });
        } catch (UniqueConstraintViolationException) {
            throw new \DomainException(Say::text('refused.new_person_request.somebody_with_address_here'));
        }
    }
}
