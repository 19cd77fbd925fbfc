<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something said on a discussion board.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key of the board
 * @property ?int $person_id null: whoever said it is gone
 * @property string $text plain
 * @property ?string $once made by the page that sent it, so that it is not said twice
 * @property ?int $answers_id what it answers; null: it begins something
 * @property ?\DateTimeImmutable $changed_at
 * @property ?\DateTimeImmutable $taken_back_at of what others have answered its place is left
 * @property \DateTimeImmutable $posted_at
 * @property ?Person $person
 */
final class BoardPost extends Record
{
    protected $table = 'posts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['posted_at' => UtcInstant::class, 'changed_at' => UtcInstant::class, 'taken_back_at' => UtcInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
