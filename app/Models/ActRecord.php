<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * Something that is, or was, done to people. What it does row by row stands in `act_changes`: with that it can be taken back.
 *
 * @property int $id
 * @property ?int $actor_id
 * @property ?string $by name of what had it done, where nobody did, or through which the actor did
 * @property string $told
 * @property string $state preparing, prepared, done, undoing or refused
 * @property array<string, mixed> $form what is to be done, as it was asked for
 * @property list<int> $people ids of those chosen, while it is prepared
 * @property int $looked how many of them are looked at
 * @property int $of how many are chosen
 * @property int $touched to how many something happens
 * @property string $outcomes JSON
 * @property int $basis the last line of the log that was there when it was prepared
 * @property int $basis_turn the last turn, likewise
 * @property ?int $turn counts what was put in force or taken back
 * @property ?string $problem why it was not done, or not taken back
 * @property ?string $once made by the form that asked for it
 * @property \DateTimeImmutable $made_at when it was asked for: the now of what it does
 * @property ?\DateTimeImmutable $undone_at
 */
final class ActRecord extends Record
{
    public $timestamps = false;

    protected $table = 'people_acts';

    protected $guarded = [];

    protected $casts = ['form' => 'array', 'people' => 'array', 'made_at' => UtcInstant::class, 'undone_at' => UtcInstant::class];

    /** Whether it has changed anything that can be changed back. */
    public function canBeUndone(): bool
    {
        return $this->state === 'done' && $this->undone_at === null && self::query()->getConnection()->table('act_changes')->where('act_id', $this->id)->exists();
    }

    public static function nextTurn(): int
    {
        $last = self::query()->max('turn');

        return 1 + (is_numeric($last) ? (int) $last : 0);
    }
}
