<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The selling side of an offer; what its passes open stands in the course's document.
 *
 * @property int $id
 * @property int $course_id
 * @property string $key
 * @property string $name
 * @property ?int $price
 * @property string $currency
 * @property list<string> $labels that its holders have, as the published rules say; only a publication writes them
 * @property bool $trial
 * @property TakenAgain $again whether one who holds or has held it takes it again
 * @property list<string> $not_after keys of offers: not for who holds a pass of one, or has held one
 * @property bool $not_after_course not for who has held a pass of another offer of the course
 * @property ?string $only_label only for people who have it
 * @property ?int $most for so many people at most
 * @property ?\DateTimeImmutable $sold_from
 * @property ?\DateTimeImmutable $sold_until the first instant at which it is not sold any more
 * @property ?PaidEvery $every it is paid for again and again; null: once
 * @property ?int $upgrade_price for who gives up a lesser pass for it, like the price; null: as for others
 * @property bool $erases what was finished, some time after a pass of it has ended
 * @property Course $course
 */
final class Offer extends Record
{
    protected $table = 'offers';

    protected $guarded = [];

    protected $casts = ['labels' => 'array', 'trial' => 'boolean', 'erases' => 'boolean', 'again' => TakenAgain::class, 'every' => PaidEvery::class, 'not_after' => 'array', 'not_after_course' => 'boolean', 'sold_from' => UtcInstant::class, 'sold_until' => UtcInstant::class];

    protected $attributes = ['labels' => '[]', 'again' => 'renewal', 'not_after' => '[]', 'not_after_course' => false];

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }
}
