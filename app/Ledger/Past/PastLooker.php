<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Viewers;
use SilentKeep\Core\Viewing\Viewer;

/** Somebody in particular, or somebody of whom nothing is known. They need not be there any more. */
final readonly class PastLooker implements Onlooker
{
    /**
     * @param  ?int  $person  signed in; null: nobody was
     * @param  bool  $guest  came in by the course's guest link
     * @param  ?int  $observed  the learner with whom they looked; left out where they were not tied to them then
     */
    public function __construct(public ?int $person, public bool $guest = false, public ?int $observed = null)
    {
    }

    public function people(): array
    {
        return array_values(array_unique(array_filter([$this->person, $this->observed], is_int(...))));
    }

    public function viewer(PastRows $rows, int $course): Viewer
    {
        if ($this->person === null) {
            return $this->guest ? Viewers::guest() : Viewers::visitor();
        }
        $observed = $this->observed !== null && $rows->observed($this->person, $this->observed) ? $rows->viewer($this->observed, $course) : null;

        return Viewers::lookingWith($rows->viewer($this->person, $course), $observed, $this->guest);
    }

    public function wasThere(PastRows $rows): bool
    {
        return $this->person === null || $rows->staff([$this->person]) !== [];
    }
}
