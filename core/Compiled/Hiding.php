<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Outline;

/**
 * Tells what is not open as locked or hidden. Letters of states lie so that open ones come of closed ones by setting
 * three bits: `h` 0x68, `l` 0x6c, `o` 0x6f.
 */
final class Hiding
{
    /** A letter an item for when it is closed, where nothing hides that holds something: then that is the same whatever else is open. */
    public readonly string $whenClosed;

    /** Whether something that holds something can come out hidden, so that what is inside has to be looked at. */
    public readonly bool $tangled;

    /** What can come out hidden with something inside, and all that stands in it: where one of them opens or closes, others may change too. */
    public readonly string $inTangles;

    private readonly string $hides;

    /** @var array<int, int> what can come out hidden with something inside, and how many of them stand in each other down to it */
    private readonly array $containers;

    /** @var array<int, int> the outermost container that can come out hidden, by what stands in it, itself too */
    public readonly array $outermost;

    /** @var array<int, Tangle> by outermost container */
    private array $tangles = [];

    private readonly ?Tangle $whole;

    private readonly string $nothing;

    /** The states where nothing is open. */
    private readonly string $closed;

    public function __construct(private readonly Course $course)
    {
        $outline = $course->outline;
        $hides = $letters = $inTangles = '';
        $inside = $containers = $outermost = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $hidesItself = $item->draft || $item->hideWhenClosed;
            $hides .= $hidesItself ? Mask::IN : Mask::OUT;
            $inside[] = $hidesItself || ($above !== Outline::TOP && $inside[$above]);
            $letters .= $hidesItself || $course->state === CourseState::Draft ? 'h' : 'l';
            if ($inside[$at] && $item->items !== []) {
                $containers[$at] = 1 + ($containers[$above] ?? 0);
            }
            if (isset($outermost[$above]) || isset($containers[$at])) {
                $outermost[$at] = $outermost[$above] ?? $at;
            }
            $inTangles .= isset($outermost[$at]) ? Mask::IN : Mask::OUT;
        }
        [$this->hides, $this->whenClosed, $this->containers, $this->outermost, $this->inTangles] = [$hides, $letters, $containers, $outermost, $inTangles];
        $this->tangled = $containers !== [] && $course->state !== CourseState::Draft;
        $this->whole = $this->tangled ? new Tangle($outline, 0, strlen($hides), $hides, $containers) : null;
        $this->nothing = str_repeat(Mask::OUT, strlen($hides));
        $this->closed = $this->whole?->states($this->nothing) ?? $this->whenClosed;
    }

    /** @return string a byte an item in reading order: `o` open, `l` locked, `h` hidden */
    public function states(string $open): string
    {
        if ($open === $this->nothing) {
            return $this->closed;
        }

        return $this->whole?->statesKept($open) ?? $this->whenClosed | Mask::as($open, 7);
    }

    /** All that stands in an outermost container. */
    public function tangleFrom(int $first): Tangle
    {
        return $this->tangles[$first] ??= new Tangle($this->course->outline, $first, $this->course->outline->end[$first] - $first, $this->hides, $this->containers);
    }
}
