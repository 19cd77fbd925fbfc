<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Model;
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
 * @property Offer $offer
 */
final class Pass extends Model
{
    protected $guarded = [];

    protected $casts = ['starts_at' => UtcInstant::class, 'ends_at' => UtcInstant::class, 'paced_from' => UtcInstant::class];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }
}
