<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

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

    /** Whether the pass that these dates are of reaches it before it ends, without being handed out. */
    public function isReachedBy(Pass $pass): bool
    {
        return $this->covered && max($this->opens, $pass->from) < $pass->until;
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
