<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\Finish;
use SilentKeep\Core\Rules\Prerequisites;

final readonly class Item
{
    /**
     * @param  ?list<string>  $tiers  null: every pass; empty: none
     * @param  ?bool  $guests  null: as the item above, at the top as the door's default
     * @param  ?bool  $observers  likewise
     * @param  list<Audience>  $neverFor
     * @param  bool  $inOrder  its children one after the other (modules only)
     * @param  bool  $optional  in an order, and as a part of its module, it holds nobody up; asked for by name it is waited for
     * @param  list<Item>  $items
     */
    public function __construct(
        public string $key,
        public Kind $kind,
        public ?string $title = null,
        public bool $draft = false,
        public bool $sample = false,
        public ?array $tiers = null,
        public ?Condition $only = null,
        public ?bool $guests = null,
        public ?bool $observers = null,
        public array $neverFor = [],
        public ?Prerequisites $after = null,
        public bool $inOrder = false,
        public bool $hideWhenClosed = false,
        public ?Finish $finish = null,
        public bool $optional = false,
        public array $items = [],
    ) {
    }

    /** What its author says of an audience, if anything. */
    public function admits(Audience $audience): ?bool
    {
        return $audience === Audience::Guests ? $this->guests : $this->observers;
    }
}
