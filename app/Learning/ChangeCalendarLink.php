<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Person;
use Illuminate\Support\Str;

/** Makes somebody's private link to their own dates; the one from before leads nowhere from then on. */
final readonly class ChangeCalendarLink
{
    public function __invoke(Person $person): void
    {
        $person->update(['calendar_token' => Str::random(40)]);
    }
}
