<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\Gather;
use SilentKeep\Core\Compiled\Mask;

/**
 * Items that wait for others, and are shut as soon as so many of those are undone: one where all must be done, all where
 * any one will do, all but k - 1 where k must be.
 */
final readonly class Hurdles
{
    /** @var list<Gather> of each waiting item the first of those for which it waits, the second… */
    private array $rounds;

    /** From the waiting items to all; null: they are laid out so already. */
    private ?Gather $spread;

    private string $none;

    /**
     * @param  non-empty-array<int, list<int>>  $waitsFor  by waiting item
     * @param  int  $suffices  how many undone shut it, at least 1
     */
    public function __construct(array $waitsFor, private int $suffices, int $count)
    {
        $most = max(array_map(count(...), $waitsFor));
        // One round is laid out over all items at once; several are worked out on the waiting ones alone, which are few.
        $keys = $most === 1 ? array_keys($waitsFor) : range(0, count($waitsFor) - 1);
        $length = $most === 1 ? $count : count($waitsFor);
        $rounds = [];
        for ($round = 0; $round < $most; $round++) {
            $places = [];
            foreach (array_values($waitsFor) as $index => $firsts) {
                if (isset($firsts[$round])) {
                    $places[$keys[$index]] = $firsts[$round];
                }
            }
            $rounds[] = new Gather($places, $length);
        }
        $this->rounds = $rounds;
        $this->spread = $most === 1 ? null : new Gather(array_flip(array_keys($waitsFor)), $count);
        $this->none = str_repeat(Mask::OUT, $length);
    }

    /**
     * Where too much is undone.
     *
     * @param  string  $undone  mask of what is not complete
     */
    public function shut(string $undone): string
    {
        /** @var list<string> $atLeast where one is undone so far, where two are… */
        $atLeast = array_fill(0, $this->suffices, $this->none);
        foreach ($this->rounds as $round) {
            $left = $round->from($undone);
            for ($many = $this->suffices - 1; $many > 0; $many--) {
                $atLeast[$many] |= $atLeast[$many - 1] & $left;
            }
            $atLeast[0] |= $left;
        }

        return $this->spread === null ? $atLeast[$this->suffices - 1] : $this->spread->from($atLeast[$this->suffices - 1]);
    }
}
