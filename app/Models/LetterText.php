<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What the school has settled of a kind of letter, where that is not as usual.
 *
 * @property int $id
 * @property string $kind
 * @property bool $on
 * @property ?int $days before the end of a pass
 * @property ?int $hour of the day, by the wall clock of the school
 * @property ?string $subject with placeholders; null: the usual one
 * @property ?string $body plain text with placeholders; null: the usual one
 * @property \DateTimeImmutable $since what happened before is not written of
 * @property int $version
 */
final class LetterText extends Record
{
    protected $table = 'letter_texts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['on' => 'boolean', 'since' => UtcInstant::class];
}
