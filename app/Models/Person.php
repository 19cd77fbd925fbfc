<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User;
use Laravel\Sanctum\HasApiTokens;

/**
 * @property int $id
 * @property string $name
 * @property string $email names nobody while only claimed
 * @property ?string $claimed_email what they typed, as long as the link that was sent there was not used
 * @property ?string $session_key sessions that began under another one are over
 * @property ?string $password
 * @property ?Role $role
 * @property ?string $calendar_token of the private link to their own openings
 * @property ?Language $language of the learner's side; null: that of the school
 * @property ?CsvForm $csv_form in which they are given CSV files; null: as each is usually
 * @property ?array<array-key, mixed> $rule_columns of the Rules lens, as they have arranged them; null: as they are at first
 * @property ?\DateTimeImmutable $erased_at since then they are a number
 * @property ?\DateTimeImmutable $seen_at last time that they opened a page signed in
 */
final class Person extends User
{
    use BootsByName;

    /** @use HasApiTokens<ApiToken> */
    use HasApiTokens;

    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'session_key'];

    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'seen_at' => UtcInstant::class, 'erased_at' => UtcInstant::class, 'language' => Language::class, 'rule_columns' => 'array', 'csv_form' => CsvForm::class];

    /** The name of the route of the page that they come to first. */
    public function home(): string
    {
        return $this->role === null ? 'courses' : 'keep.today';
    }

    public function isStaff(): bool
    {
        return $this->role !== null;
    }

    /** Where letters to them go. */
    public function address(): string
    {
        return $this->claimed_email ?? $this->email;
    }

    /** Whether they have shown that their address is theirs, or were brought in by somebody who runs the school. */
    public function isConfirmed(): bool
    {
        return $this->claimed_email === null;
    }

    /** @return HasMany<Label, $this> */
    public function labels(): HasMany
    {
        return $this->hasMany(Label::class);
    }
}
