<?php

declare(strict_types=1);

namespace App\Ledger\Past;

/** Whoever looked at a course. They need not be there any more. */
final readonly class PastLooker
{
    /**
     * @param  ?int  $person  signed in; null: nobody was
     * @param  bool  $guest  came in by the course's guest link
     * @param  ?int  $observed  the learner with whom they looked; left out where they were not tied to them then
     */
    public function __construct(public ?int $person, public bool $guest = false, public ?int $observed = null)
    {
    }

    /** @return list<int> */
    public function people(): array
    {
        return array_values(array_unique(array_filter([$this->person, $this->observed], is_int(...))));
    }
}
