<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\UndatedFacts;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Viewing\Offer;

/**
 * From which earlier item each counts that opens so many days after the one before, for the holders of one offer. Labels do not
 * matter: what a condition keeps from whoever has none is passed over, but by what stands under that same condition itself.
 */
final class PreviousItems
{
    /** @var list<string> of each item: the conditions on its path that shut it to whoever has no label, by number, each between commas */
    private readonly array $barriers;

    /** @var array<int, array<string, int>> the last item that may be a previous one, by depth and by its barriers */
    private array $last = [];

    public function __construct(private readonly Outline $outline, Offer $offer)
    {
        $facts = new UndatedFacts($offer, []);
        $numbers = [];
        /** @var list<string> $barriers */
        $barriers = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $inherited = $above === Outline::TOP ? '' : $barriers[$above];
            $number = '';
            if ($item->only !== null && $item->only->read($facts) === Truth::No) {
                $condition = serialize($item->only);
                $number = ','.($numbers[$condition] ??= count($numbers)).',';
            }
            $barriers[] = $number === '' || str_contains($inherited, $number) ? $inherited : $inherited.$number;
        }
        $this->barriers = $barriers;
    }

    /** The item from which this one counts, of those added so far; null: there is none. */
    public function of(int $item): ?int
    {
        $previous = null;
        foreach ($this->last[$this->outline->depth[$item]] ?? [] as $barriers => $last) {
            if (($previous === null || $last > $previous) && $this->standsBehind($item, $barriers)) {
                $previous = $last;
            }
        }

        return $previous;
    }

    /** An item that later ones may count from; in reading order. */
    public function add(int $item): void
    {
        $this->last[$this->outline->depth[$item]][$this->barriers[$item]] = $item;
    }

    /** Whether all of these barriers are on the item's own path too. */
    private function standsBehind(int $item, string $barriers): bool
    {
        foreach ($barriers === '' ? [] : explode(',,', trim($barriers, ',')) as $number) {
            if (! str_contains($this->barriers[$item], ",{$number},")) {
                return false;
            }
        }

        return true;
    }
}
