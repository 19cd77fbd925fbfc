<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;

/** A whole plan document, read and valid. Build one with {@see \SilentKeep\Core\Format\PlanReader}. */
final readonly class Plan
{
    /**
     * @param  array<array-key, Course>  $courses  by key, in document order
     * @param  array<array-key, Offer>  $offers  by key, in document order
     */
    public function __construct(
        public SchoolZone $zone,
        public bool $guests,
        public array $courses,
        public array $offers,
    ) {
    }

    public function course(string $key): ?Course
    {
        return $this->courses[$key] ?? null;
    }

    public function offer(string $key): ?Offer
    {
        return $this->offers[$key] ?? null;
    }
}
