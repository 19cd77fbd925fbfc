<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Models\Person;
use Illuminate\Support\Str;

/** Ends all sessions of somebody, and forgets the devices that were to be remembered. Whoever signs in anew stays in. */
final readonly class EndSessions
{
    public function __invoke(Person $person): void
    {
        $person->forceFill(['session_key' => Str::random(40), 'remember_token' => Str::random(60)])->save();
    }
}
