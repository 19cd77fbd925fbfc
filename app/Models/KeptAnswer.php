<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What was answered to something that is asked once.
 *
 * @property int $id
 * @property int $token_id
 * @property string $key
 * @property string $asked SHA-256 of the method, the address and the body
 * @property ?int $status null: it is being done
 * @property ?array<string, string> $headers
 * @property ?string $body
 * @property \DateTimeImmutable $made_at
 */
final class KeptAnswer extends Record
{
    protected $table = 'kept_answers';

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['status' => null, 'headers' => null, 'body' => null];

    protected $casts = ['headers' => 'array', 'made_at' => UtcInstant::class];
}
