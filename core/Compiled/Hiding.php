<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Outline;

/**
 * Tells what is not open as locked or hidden. Letters of states lie so that open ones come of closed ones by setting
 * three bits: `h` 0x68, `l` 0x6c, `o` 0x6f.
 */
final readonly class Hiding
{
    /** A letter an item for when it is closed, where nothing hides that holds something: then that is the same whatever else is open. */
    private string $whenClosed;

    /** Whether something that holds something can come out hidden, so that what is inside has to be looked at. */
    public bool $tangled;

    /** What can come out hidden with something inside, and all that stands in it: where one of them opens or closes, others may change too. */
    public string $inTangles;

    private string $hides;

    /** Of what stands right inside a container that can come out hidden, that container. */
    private Gather $above;

    /** How many such containers stand in each other at most. */
    private int $levels;

    /** @var list<int> those containers, what is inside before what it stands in */
    private array $fromLeaves;

    public function __construct(private Course $course)
    {
        $outline = $course->outline;
        $hides = $letters = '';
        $inside = $containers = $within = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $hidesItself = $item->draft || $item->hideWhenClosed;
            $hides .= $hidesItself ? Mask::IN : Mask::OUT;
            $inside[] = $hidesItself || ($above !== Outline::TOP && $inside[$above]);
            $letters .= $hidesItself || $course->state === CourseState::Draft ? 'h' : 'l';
            if (isset($containers[$above])) {
                $within[$at] = $above;
            }
            if ($inside[$at] && $item->items !== []) {
                $containers[$at] = 1 + ($containers[$above] ?? 0);
            }
        }
        $this->hides = $hides;
        $this->whenClosed = $letters;
        $this->above = new Gather($within, strlen($hides));
        $this->levels = max([0, ...$containers]);
        $inTangles = str_repeat(Mask::OUT, strlen($hides));
        foreach (array_keys($containers) as $container) {
            for ($at = $container; $at < $outline->end[$container]; $at++) {
                $inTangles[$at] = Mask::IN;
            }
        }
        $this->inTangles = $inTangles;
        $this->fromLeaves = array_reverse(array_keys($containers));
        $this->tangled = $containers !== [] && $course->state !== CourseState::Draft;
    }

    /** @return string a byte an item in reading order: `o` open, `l` locked, `h` hidden */
    public function states(string $open): string
    {
        return ($this->tangled ? $this->closed($open) : $this->whenClosed) | Mask::as($open, 7);
    }

    /** The state of what is closed, for courses without tangles. */
    public function whenClosed(int $item): State
    {
        return substr($this->whenClosed, $item, 1) === 'h' ? State::Hidden : State::Locked;
    }

    private function closed(string $open): string
    {
        $closed = $open ^ str_repeat(Mask::IN, strlen($open));
        $hidden = $this->hiddenInTurn($closed);
        // What has something inside that is not hidden is seen.
        foreach ($this->fromLeaves as $container) {
            $seen = $hidden[$container] === Mask::IN ? strpos($hidden, Mask::OUT, $container + 1) : false;
            if ($seen !== false && $seen < $this->course->outline->end[$container]) {
                $hidden[$container] = Mask::OUT;
            }
        }

        return str_repeat('l', strlen($open)) ^ Mask::as($hidden, 4);
    }

    /** What hides, and what stands in it, level by level. */
    private function hiddenInTurn(string $closed): string
    {
        $hidden = $this->hides & $closed;
        for ($level = 0; $level < $this->levels; $level++) {
            $hidden |= $this->above->from($hidden) & $closed;
        }

        return $hidden;
    }
}
