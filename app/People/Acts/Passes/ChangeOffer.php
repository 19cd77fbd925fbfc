<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\Pass;
use App\People\Acts\ActStep;
use App\People\PassRows;
use App\Words\Say;

/** Makes a pass one of another offer of the same course: another tier, pace or scope; its dates stay. */
final readonly class ChangeOffer extends PassAct
{
    public function __construct(PassRows $passes, SchoolClock $clock, private Offer $offer)
    {
        parent::__construct($passes, $clock);
    }

    public function name(): string
    {
        return 'pass.changed';
    }

    public function told(): string
    {
        return Say::text('acts.change_offer.change_pass_name', ['name' => $this->offer->name]);
    }

    protected function step(Pass $pass): ActStep
    {
        return match (true) {
            $pass->course_id !== $this->offer->course_id => self::left($pass, Say::text('acts.change_offer.hold_pass_another_course')),
            $pass->offer_id === $this->offer->id => self::left($pass, Say::text('acts.change_offer.hold_that_one_already')),
            default => self::changed($pass, Say::text('acts.change_offer.hold_name_from_now', ['name' => $this->offer->name]), ['offer_id' => $this->offer->id], ['offer' => $this->offer->key]),
        };
    }
}
