<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Person;
use App\Standins\Mail\Letter;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Writes to people by mail. `{name}` stands for the name of each. */
final readonly class WriteTo implements PeopleAct
{
    public function __construct(private string $subject, private string $body)
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
        return array_values($people->map(fn (Person $person): ActStep => new ActStep(
            $person->id,
            Say::text('acts.write_to.get_it_by_mail'),
            after: ['subject' => $this->subject],
            letter: new Letter($person->id, $person->address(), strtr($this->subject, ['{name}' => $person->name]), strtr($this->body, ['{name}' => $person->name])),
        ))->all());
    }
}
