<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Person;
use App\School\Letters\WriteLetters;
use App\Standins\Mail\Letter;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Writes to people by mail, as far as they want that. `{name}` stands for the name of each. */
final readonly class WriteTo implements PeopleAct
{
    public function __construct(private WriteLetters $write, private string $subject, private string $body)
    {
    }

    public function name(): string
    {
        return 'message.written';
    }

    public function told(): string
    {
        return Say::text('acts.write_to.write_subject', ['subject' => $this->subject]);
    }

    public function isHelp(): bool
    {
        return false;
    }

    public function canBeUndone(): bool
    {
        return false;
    }

    public function steps(Collection $people): array
    {
        $letters = $this->write->byHand(array_values($people->map(fn (Person $person): array => [$person, strtr($this->subject, ['{name}' => $person->name]), strtr($this->body, ['{name}' => $person->name])])->all()));

        return array_map(fn (Person $person, ?Letter $letter): ActStep => $letter === null
            ? new ActStep($person->id, Say::text('acts.write_to.want_none'))
            : new ActStep($person->id, Say::text('acts.write_to.get_it_by_mail'), after: ['subject' => $this->subject], letter: $letter), array_values($people->all()), $letters);
    }
}
