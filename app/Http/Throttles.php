<?php

declare(strict_types=1);

namespace App\Http;

use App\Words\Say;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** How often letters may be asked for: by one source, and for one address, whoever has it. */
final class Throttles
{
    private const AN_ADDRESS = 4;

    private const A_SOURCE = 20;

    private const HOUR = 3600;

    /** @throws ValidationException at the address, in words that are the same for every one */
    public static function letterTo(string $email, Request $request): void
    {
        foreach (['letter-to:'.mb_strtolower(trim($email)) => self::AN_ADDRESS, 'letters-for:'.$request->ip() => self::A_SOURCE] as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                $minutes = (int) ceil(RateLimiter::availableIn($key) / 60);
                throw ValidationException::withMessages(['email' => Say::text('learner.asked.letters', ['minutes' => $minutes])]);
            }
        }
        RateLimiter::hit('letter-to:'.mb_strtolower(trim($email)), self::HOUR);
        RateLimiter::hit('letters-for:'.$request->ip(), self::HOUR);
    }
}
