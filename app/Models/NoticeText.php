<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the school says at a kind of closed door, where it says something of its own.
 *
 * @property int $id
 * @property string $scope where and for whom it holds, as App\Notices\NoticePlace writes it
 * @property ?int $course_id
 * @property ?string $item_key of an item or a module; null: of the whole course
 * @property ?string $offer_key for whoever holds or held a pass of it; null: for everybody
 * @property string $case the kind of closed door
 * @property string $way show, shared, sign-in or address
 * @property string $heading with placeholders; empty: as it is without this
 * @property string $text Markdown with placeholders; empty: as it is without this
 * @property ?string $address where to send people instead
 * @property bool $titled false: it has no heading at all
 * @property ?int $shared_id whose words stand here, where way is shared
 * @property ?string $parts JSON, as App\Notices\Parts\Part writes it; null: as usual
 * @property int $version
 */
final class NoticeText extends Record
{
    protected $table = 'notice_texts';

    protected $guarded = [];

    protected $casts = ['titled' => 'boolean'];

    protected $attributes = ['titled' => true];

    /** @return BelongsTo<SharedNotice, $this> */
    public function shared(): BelongsTo
    {
        return $this->belongsTo(SharedNotice::class);
    }
}
