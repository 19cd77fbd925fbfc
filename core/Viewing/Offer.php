<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

use SilentKeep\Core\Rules\ReleasePlan;

/** The access side of what is sold, claimed or handed out. */
final readonly class Offer
{
    /**
     * @param  ?ReleasePlan  $plan  null: all at once
     * @param  ?list<int>  $scope  positions in reading order; null: the whole course
     * @param  list<string>  $labels  held by whoever holds a pass of it, while that is active
     */
    public function __construct(
        public string $key,
        public string $course,
        public ?string $title,
        public ?string $tier,
        public ?ReleasePlan $plan,
        public ?array $scope,
        public Lasting $lasts,
        public array $labels = [],
    ) {
    }
}
