<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Time\Instant;

final readonly class ItemReach
{
    /**
     * @param  ?int  $opens  when it is first open
     * @param  ?int  $works  when it is first open to work in
     * @param  list<Reason>  $why  what keeps it shut to the last, where it never opens
     */
    public function __construct(public string $item, public ?int $opens, public ?int $works, public array $why)
    {
    }

    /** @return array{item: string, opens: ?string, works: ?string, why: list<string>} */
    public function toArray(): array
    {
        return [
            'item' => $this->item,
            'opens' => $this->opens === null ? null : Instant::format($this->opens),
            'works' => $this->works === null ? null : Instant::format($this->works),
            'why' => array_map(static fn (Reason $reason): string => $reason->value, $this->why),
        ];
    }
}
