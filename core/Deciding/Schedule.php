<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

/** When each item is released for a pass and when it closes again; {@see \SilentKeep\Core\Time\Instant::NEVER} for never. */
final readonly class Schedule
{
    /**
     * @param  list<int>  $release  by position in reading order
     * @param  list<int>  $closing  likewise
     */
    public function __construct(public array $release, public array $closing)
    {
    }
}
