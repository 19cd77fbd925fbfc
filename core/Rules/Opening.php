<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

/**
 * When an item opens by a release plan, its parents and the pass's beginning left aside. A new kind is a class of its own, a case of
 * {@see OpeningKind}, words (lang/en/rules.php), the schema (docs/formats) and its clause of the contract; nobody else asks which it is.
 */
interface Opening
{
    /**
     * @param  int  $start  the instant from which the pass is paced
     * @param  ?int  $previous  when the item before this one is released; null if there is none
     * @return int the instant, or {@see \SilentKeep\Core\Time\Instant::NEVER}
     */
    public function instant(int $start, ?int $previous, SchoolZone $zone): int;

    /** The instant, where it is the same for everybody, with or without a pass; null: it is another one for each pass. */
    public function dated(): ?int;

    /** Whether a pass's beginning moves it, so that whoever has none is let in by permission alone. */
    public function isRelative(): bool;

    /** Whether it counts from the item before, not from the pass's beginning. */
    public function countsFromPrevious(): bool;

    /** What it adds to what it counts from, where it adds so many days. */
    public function delay(): ?Delay;
}
