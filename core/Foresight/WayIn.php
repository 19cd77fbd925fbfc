<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** An offer that would open a closed item, and when at best. */
final readonly class WayIn
{
    /** @param  bool  $byTimeAlone  else only after finishing what comes first */
    public function __construct(public Offer $offer, public Pass $pass, public int $opens, public bool $byTimeAlone)
    {
    }

    /** @return array{offer: string, opens: string, by: string} */
    public function toArray(): array
    {
        return ['offer' => $this->offer->key, 'opens' => Instant::format($this->opens), 'by' => $this->byTimeAlone ? 'time' : 'finishing'];
    }
}
