<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Offer;
use App\Offers\Taking;
use SilentKeep\Core\Foresight\ItemDates;
use SilentKeep\Core\Viewing\Offer as Access;
use SilentKeep\Core\Viewing\Pass;

/** An offer that somebody may take now, with what the pass that they would get opens, and when. */
final readonly class ForSale
{
    /**
     * @param  list<int>  $lessons  positions of those that they may know of
     * @param  list<ItemDates>  $dates  of every item, by position
     */
    public function __construct(public Offer $offer, public Taking $taking, public Access $access, public Pass $pass, public array $lessons, public array $dates)
    {
    }

    /** Whether the pass reaches an item before it ends. */
    public function reaches(int $position): bool
    {
        return $this->dates[$position]->isReachedBy($this->pass);
    }

    /** How many of the lessons it reaches. */
    public function covered(): int
    {
        return count(array_filter($this->lessons, $this->reaches(...)));
    }

    /** When the item opens to its holder. */
    public function opens(int $position): int
    {
        return max($this->dates[$position]->opens, $this->pass->from);
    }
}
