<?php

declare(strict_types=1);

namespace App\School\Tokens;

use App\Models\ApiToken;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Makes a token with which a system of others may ask, as whoever made it, and takes it back. It is nobody's to read but once. */
final readonly class MakeToken
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  list<Ability>  $abilities
     * @param  ?int  $until  instant at which it ends; null: only when it is taken back
     * @return array{ApiToken, string} with what is sent by whoever asks
     */
    public function __invoke(Person $owner, string $name, array $abilities, ?int $until): array
    {
        $named = array_map(static fn (Ability $ability): string => $ability->value, $abilities);
        $plain = $owner->generateTokenString();

        return DB::transaction(function () use ($owner, $name, $named, $until, $plain): array {
            $token = ApiToken::query()->forceCreate(['tokenable_type' => $owner->getMorphClass(), 'tokenable_id' => $owner->id, 'name' => $name, 'token' => hash('sha256', $plain), 'abilities' => $named, 'expires_at' => $until]);
            $this->log->note('token.made', $owner, after: ['name' => $name, 'abilities' => $named, 'until' => $until === null ? null : gmdate(DATE_ATOM, $until)]);

            return [$token, "{$token->id}|{$plain}"];
        });
    }

    /** From now on it opens nothing. Twice does no harm. */
    public function takeBack(ApiToken $token, Person $by): void
    {
        DB::transaction(function () use ($token, $by): void {
            if (ApiToken::query()->whereKey($token->id)->delete() === 1) {
                $this->log->note('token.taken_back', $by, before: ['name' => $token->name]);
            }
        });
    }
}
