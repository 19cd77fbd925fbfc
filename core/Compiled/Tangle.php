<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Outline\Outline;

/**
 * Items that stand in a row in reading order, with all that is inside them: a whole course, or something that can come out hidden with
 * something in it. What is open in there decides what of it is hidden, and nothing else does.
 */
final class Tangle
{
    /** How many answers are kept. */
    private const MOST_KEPT = 400;

    private readonly string $hides;

    private readonly string $all;

    /** Of what stands right inside a container that can come out hidden, that container. */
    private readonly Gather $above;

    /** How many such containers stand in each other at most. */
    private readonly int $levels;

    /** Those containers. */
    private readonly string $containers;

    /** @var array<int, int> how many items stand in each of them */
    private readonly array $inside;

    /** @var array<string, string> states by what is open */
    private array $kept = [];

    /**
     * @param  string  $hides  of the whole course: what hides when it is closed
     * @param  array<int, int>  $containers  of the whole course: those that can come out hidden, and in how many of them each stands, itself counted
     */
    public function __construct(Outline $outline, public readonly int $first, public readonly int $length, string $hides, array $containers)
    {
        $this->hides = substr($hides, $first, $length);
        $this->all = str_repeat(Mask::IN, $length);
        $above = $inside = [];
        $held = str_repeat(Mask::OUT, $length);
        $levels = 0;
        for ($at = $first; $at < $first + $length; $at++) {
            $over = $outline->parent[$at];
            if ($over >= $first && isset($containers[$over])) {
                $above[$at - $first] = $over - $first;
                $levels = max($levels, $containers[$over]);
            }
            if (isset($containers[$at])) {
                $inside[$at - $first] = $outline->end[$at] - $at - 1;
                $held[$at - $first] = Mask::IN;
            }
        }
        $this->above = new Gather($above, $length);
        $this->levels = $levels;
        $this->containers = $held;
        $this->inside = $inside;
    }

    /** As {@see self::states()}, for parts of a course: what one viewer comes to others have come to, and it is remembered. */
    public function statesKept(string $open): string
    {
        if (isset($this->kept[$open])) {
            return $this->kept[$open];
        }
        if (count($this->kept) >= self::MOST_KEPT) {
            $this->kept = [];
        }

        return $this->kept[$open] = $this->states($open);
    }

    /**
     * @param  string  $open  of these items
     * @return string a byte an item: `o` open, `l` locked, `h` hidden
     */
    public function states(string $open): string
    {
        $hidden = $this->hidden($open ^ $this->all);
        // What has something inside that is not hidden is seen; what is inside comes first.
        $containers = $hidden & $this->containers;
        for ($container = strrpos($containers, Mask::IN); $container !== false; $container = $container === 0 ? false : strrpos($containers, Mask::IN, $container - 1 - $this->length)) {
            $inside = $this->inside[$container];
            if (strspn($hidden, Mask::IN, $container + 1, $inside) < $inside) {
                $hidden[$container] = Mask::OUT;
            }
        }

        // The letter of what is locked, with a bit taken out where it is hidden, and three put in where it is open.
        return (str_repeat('l', $this->length) ^ Mask::as($hidden, 4)) | Mask::as($open, 7);
    }

    /** @return string mask of where the states of two are not the same */
    public static function changed(string $states, string $then): string
    {
        // The letters differ in these bits only: o^l, o^h, l^h.
        return strtr($states ^ $then, "\x03\x07\x04", "\x01\x01\x01");
    }

    /** What hides, and what stands in it, level by level. */
    private function hidden(string $closed): string
    {
        $hidden = $this->hides & $closed;
        $over = $hidden & $this->containers;
        for ($level = 0; $level < $this->levels && str_contains($over, Mask::IN); $level++) {
            $more = $hidden | ($this->above->from($over) & $closed);
            // Of those that hold something, the ones that have come to it.
            $over = ($more ^ $hidden) & $this->containers;
            $hidden = $more;
        }

        return $hidden;
    }
}
