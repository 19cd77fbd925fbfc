<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property ?string $password
 * @property ?Role $role
 * @property ?string $calendar_token of the private link to their own openings
 * @property ?\DateTimeImmutable $seen_at last time that they opened a page signed in
 */
final class Person extends User
{
    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'seen_at' => UtcInstant::class];

    public function isStaff(): bool
    {
        return $this->role !== null;
    }

    /** @return HasMany<Pass, $this> */
    public function passes(): HasMany
    {
        return $this->hasMany(Pass::class);
    }

    /** @return HasMany<Label, $this> */
    public function labels(): HasMany
    {
        return $this->hasMany(Label::class);
    }
}
