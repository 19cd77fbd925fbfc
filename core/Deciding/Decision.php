<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Time\Instant;

/** The whole answer on one item. */
final readonly class Decision
{
    /**
     * @param  list<Reason>  $why  empty when open
     * @param  ?StateChange  $next  the first change of state that time alone will bring
     */
    public function __construct(
        public string $item,
        public State $state,
        public ?Route $via,
        public bool $act,
        public array $why,
        public ?StateChange $next,
    ) {
    }

    /** @return array{item: string, state: string, via: ?string, act: bool, why: list<string>, next: ?array{at: string, state: string}} */
    public function toArray(): array
    {
        return [
            'item' => $this->item,
            'state' => $this->state->value,
            'via' => $this->via?->value,
            'act' => $this->act,
            'why' => array_map(static fn (Reason $reason): string => $reason->value, $this->why),
            'next' => $this->next === null ? null : ['at' => Instant::format($this->next->at), 'state' => $this->next->state->value],
        ];
    }
}
