<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\Gather;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\Prerequisites;

/**
 * Items that wait for others, and are shut as soon as so many of those are undone: one where all must be done, all where
 * any one will do, all but k - 1 where k must be. Looked at all at once: who waits for most stands first, so that the
 * second, the third… of what each waits for lie over the first.
 */
final readonly class Hurdles
{
    /** What each waits for: the first of each, then the second of those that have one… */
    private Gather $firsts;

    /** @var list<array{int, int}> where in that the first, the second… begin, and how many they are */
    private array $rounds;

    /** From the waiting items to all; null: they are laid out so already. */
    private ?Gather $spread;

    /** @var array<int, int> where an item stands among those that wait */
    private array $places;

    /** None of those that wait. */
    private string $none;

    /** Mask of those of them that wait for all that they name: of that, who counts for less waits for less. */
    private string $behindAll;

    /** @param  non-empty-array<int, Prerequisites>  $after  by waiting item, each with something for which it waits */
    public function __construct(array $after, int $count)
    {
        uasort($after, static fn (Prerequisites $one, Prerequisites $other): int => count($other->items) <=> count($one->items));
        $most = count($after[array_key_first($after)]->items);
        // Where each waits for one alone they are laid out over all items at once.
        $this->places = $most === 1 ? array_combine(array_keys($after), array_keys($after)) : array_flip(array_keys($after));
        $this->none = str_repeat(Mask::OUT, $most === 1 ? $count : count($after));
        $this->behindAll = $this->maskOf(array_filter($after, static fn (Prerequisites $of): bool => $of->areAll()));
        $firsts = $rounds = [];
        $length = 0;
        for ($round = 0; $round < $most; $round++) {
            $begins = $length;
            $length += $most === 1 ? $count : count(array_filter($after, static fn (Prerequisites $of): bool => isset($of->items[$round])));
            $rounds[] = [$begins, $length - $begins];
            foreach ($after as $item => $of) {
                if (isset($of->items[$round])) {
                    $firsts[$begins + $this->places[$item]] = $of->items[$round];
                }
            }
        }
        $this->rounds = $rounds;
        $this->firsts = new Gather($firsts, $length);
        $this->spread = $most === 1 ? null : new Gather($this->places, $count);
    }

    /** @param  array<int, mixed>  $items  by item */
    private function maskOf(array $items): string
    {
        $mask = $this->none;
        foreach ($items as $item => $_) {
            $mask[$this->places[$item]] = Mask::IN;
        }

        return $mask;
    }

    /**
     * @param  array<int, int>  $some  of those that do not wait for all that they name, how many undone shut each, at least 1; left out: however many do not
     * @return non-empty-array<int, string> as {@see self::shut()} takes it
     */
    public function by(array $some): array
    {
        $by = [1 => []];
        foreach ($some as $item => $suffices) {
            $by[$suffices][$item] = true;
        }
        ksort($by);
        $masks = array_map($this->maskOf(...), $by);
        $masks[1] |= $this->behindAll;

        return $masks;
    }

    /**
     * Where too much is undone.
     *
     * @param  string  $undone  mask of what is not complete
     * @param  non-empty-array<int, string>  $by  which of those that wait are shut by so many undone
     */
    public function shut(string $undone, array $by): string
    {
        $left = $this->firsts->from($undone);
        $most = (int) array_key_last($by);
        /** @var array<int, string> $atLeast where one is undone so far, where two are… */
        $atLeast = array_fill(1, $most, '');
        foreach ($this->rounds as $round => [$begins, $length]) {
            $of = substr($left, $begins, $length);
            for ($many = $round < $most ? $round + 1 : $most; $many > 1; $many--) {
                $atLeast[$many] |= $atLeast[$many - 1] & $of;
            }
            // The longer of two strings gives its rest, where they are laid over each other.
            $atLeast[1] |= $of;
        }
        $shut = $this->none;
        foreach ($by as $many => $items) {
            $shut |= $atLeast[$many] & $items;
        }

        return $this->spread === null ? $shut : $this->spread->from($shut);
    }
}
