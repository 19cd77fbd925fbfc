<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

use SilentKeep\Core\Rules\ReleasePlan;
use SilentKeep\Core\Viewing\Offer;

final readonly class Course
{
    /**
     * @param  ?int  $opens  the instant its season begins
     * @param  ?int  $closes  the first instant after its season
     * @param  bool  $inOrder  its top items one after the other
     * @param  list<string>  $tiers
     * @param  ?ReleasePlan  $mainPlan  whose dates bind those who come without a pass
     * @param  array<array-key, ReleasePlan>  $plans  by name
     * @param  list<Offer>  $offers  in document order
     */
    public function __construct(
        public string $key,
        public ?string $title,
        public CourseState $state,
        public Entry $entry,
        public ?int $opens,
        public ?int $closes,
        public bool $keepAfterRetiring,
        public bool $sampleNeedsAccount,
        public bool $inOrder,
        public Door $guestDoor,
        public Door $observerDoor,
        public array $tiers,
        public ?ReleasePlan $mainPlan,
        public array $plans,
        public array $offers,
        public Outline $outline,
    ) {
    }

    /** The same course as if it were live. */
    public function asLive(): self
    {
        return new self(
            $this->key, $this->title, CourseState::Live, $this->entry, $this->opens, $this->closes, $this->keepAfterRetiring, $this->sampleNeedsAccount, $this->inOrder,
            $this->guestDoor, $this->observerDoor, $this->tiers, $this->mainPlan, $this->plans, $this->offers, $this->outline,
        );
    }
}
