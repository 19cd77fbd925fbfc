<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The one school of this installation.
 *
 * @property int $warn_days before a trial that erases ends
 * @property int $grace_days after it has ended
 * @property int $missed_days after a payment was due that did not come, a membership ends
 * @property int $id
 * @property string $name
 * @property string $zone
 * @property string $currency of new offers
 * @property bool $guests
 * @property ?string $contact_name
 * @property ?string $contact_email
 * @property ?string $sender_name of letters; null: the school's
 * @property ?string $sender_email null: the mailer's
 * @property ?string $reply_email where answers to letters go; null: to the sender
 * @property Language $language of the learner's side
 * @property string $front_title the school's own words over its courses; empty: its name
 * @property string $front_text
 * @property string $front_picture token of a picture; empty: it is drawn
 * @property int $front_focus_x what of it is kept in view, in per cent from the left
 * @property int $front_focus_y from the top
 * @property list<string> $holidays on which nothing opens when dates are moved, as Holidays has them
 * @property array<string, ?int> $kept_days for how long it keeps what, by kind; null: for good; without: as usual
 * @property float $sample_share of lessons, and of their minutes, that samples may give away
 * @property ?string $begin_code hash of the code by which its first page is opened; null: it has begun
 */
final class School extends Record
{
    protected $table = 'schools';

    protected $guarded = [];

    protected $casts = ['guests' => 'boolean', 'sample_share' => 'float', 'holidays' => 'array', 'kept_days' => 'array', 'language' => Language::class];

    protected $attributes = ['holidays' => '[]', 'kept_days' => '{}', 'language' => 'en', 'sample_share' => 0.3];
}
