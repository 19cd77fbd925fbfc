<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * A letter to somebody: in the outbox until it is sent, and kept to be looked up.
 *
 * @property int $id
 * @property ?int $person_id
 * @property string $to
 * @property string $subject
 * @property string $body plain text, as it may be shown to whoever runs the school
 * @property ?string $once what it is about, so that it is not sent twice
 * @property \DateTimeImmutable $written_at
 * @property ?string $kind of the school's letters; null: one that nobody can stop
 * @property ?string $stop address at which its reader stops such letters
 * @property ?string $sealed encrypted until it is sent: the body with what only its reader may see
 * @property string $state waiting, sent, failed or stopped
 * @property int $tries
 * @property ?\DateTimeImmutable $due_at of what waits: when it is tried next
 * @property ?string $problem
 */
final class Message extends Record
{
    protected $table = 'messages';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['written_at' => UtcInstant::class, 'due_at' => UtcInstant::class];
}
