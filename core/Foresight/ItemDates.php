<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Time\Instant;

final readonly class ItemDates
{
    /**
     * @param  bool  $covered  whether the pass will ever lead its holder there, work aside
     * @param  int  $opens  or NEVER
     * @param  int  $closes  or NEVER
     */
    public function __construct(public Item $item, public bool $covered, public int $opens, public int $closes)
    {
    }

    /** @return array{item: string, covered: bool, opens: ?string, closes: ?string} */
    public function toArray(): array
    {
        return [
            'item' => $this->item->key,
            'covered' => $this->covered,
            'opens' => Instant::formatOrNull($this->opens),
            'closes' => Instant::formatOrNull($this->closes),
        ];
    }
}
