<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A letter that the stand-in for mail has sent.
 *
 * @property int $id
 * @property ?int $person_id
 * @property string $to
 * @property string $subject
 * @property string $body plain text
 * @property ?string $once what it is about, so that it is not sent twice
 * @property \DateTimeImmutable $sent_at
 */
final class Message extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['sent_at' => UtcInstant::class];
}
