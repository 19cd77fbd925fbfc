<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\Pass;
use App\People\PassRows;

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
        return "Change a pass to {$this->offer->name}";
    }

    protected function step(Pass $pass): ActStep
    {
        return match (true) {
            $pass->course_id !== $this->offer->course_id => self::left($pass, 'hold a pass of another course'),
            $pass->offer_id === $this->offer->id => self::left($pass, 'hold that one already'),
            default => self::changed($pass, "hold {$this->offer->name} from now on", ['offer_id' => $this->offer->id], ['offer' => $this->offer->key]),
        };
    }
}
