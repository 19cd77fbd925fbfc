<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * With which a system of others asks, as whoever made it.
 *
 * @property int $id
 * @property string $name
 * @property string $token SHA-256 of it
 * @property list<string> $abilities
 * @property ?\DateTimeImmutable $last_used_at to ten minutes
 * @property ?\DateTimeImmutable $expires_at
 * @property \DateTimeImmutable $created_at
 * @property Person $tokenable
 */
final class ApiToken extends PersonalAccessToken
{
    protected $table = 'personal_access_tokens';

    protected $casts = ['abilities' => 'json', 'last_used_at' => UtcInstant::class, 'expires_at' => 'immutable_datetime', 'created_at' => UtcInstant::class];

    /** At its end it is over. */
    public function isOver(int $now): bool
    {
        return $this->expires_at !== null && $this->expires_at->getTimestamp() <= $now;
    }

    /**
     * Where none says `*`: every token names what it may.
     *
     * @param  string  $ability
     */
    public function can($ability): bool
    {
        return in_array($ability, $this->abilities, true);
    }
}
