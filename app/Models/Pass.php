<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property int $offer_id
 * @property \DateTimeImmutable $starts_at
 * @property ?\DateTimeImmutable $ends_at
 * @property ?\DateTimeImmutable $paced_from
 * @property string $state
 * @property string $source what gave it, in words
 * @property ?int $given_by
 * @property ?int $import_id the file that gave it
 * @property ?int $purchase_id by which it was bought or claimed
 * @property ?int $ended_by purchase of an upgrade in whose favour it ended
 * @property ?\DateTimeImmutable $would_end_at while ended_by stands: when it would have ended; null: never
 * @property ?\DateTimeImmutable $paused_at
 * @property bool $clock_stops while it is paused
 * @property ?\DateTimeImmutable $warned_at
 * @property ?\DateTimeImmutable $erases_at the instant that the warning named, while warned_at stands
 * @property ?\DateTimeImmutable $erased_at
 * @property Offer $offer
 * @property Person $person
 */
final class Pass extends Record
{
    protected $table = 'passes';

    protected $guarded = [];

    protected $casts = ['starts_at' => UtcInstant::class, 'ends_at' => UtcInstant::class, 'paced_from' => UtcInstant::class, 'paused_at' => UtcInstant::class, 'warned_at' => UtcInstant::class, 'erased_at' => UtcInstant::class, 'would_end_at' => UtcInstant::class, 'erases_at' => UtcInstant::class, 'clock_stops' => 'boolean'];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** Whether it has ended in favour of an upgrade, and the school has not set another end since. */
    public function gaveWay(int $now): bool
    {
        return $this->ended_by !== null && $this->ends_at !== null && $this->ends_at->getTimestamp() <= $now;
    }
}
