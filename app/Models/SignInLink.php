<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $person_id
 * @property string $token_hash
 * @property \DateTimeImmutable $expires_at
 * @property ?\DateTimeImmutable $used_at
 * @property Person $person
 */
final class SignInLink extends Record
{
    protected $table = 'sign_in_links';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['expires_at' => UtcInstant::class, 'used_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
