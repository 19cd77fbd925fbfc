<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * Whether somebody wants a kind of letter, where they have said so.
 *
 * @property int $id
 * @property int $person_id
 * @property string $kind
 * @property bool $wanted
 * @property ?\DateTimeImmutable $told_until of a digest: what opened up to then was told
 */
final class LetterChoice extends Record
{
    protected $table = 'letter_choices';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['wanted' => 'boolean', 'told_until' => UtcInstant::class];
}
