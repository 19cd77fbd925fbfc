<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Person;

/** Whoever looks at a course of the learner's side. */
final readonly class Looker
{
    /**
     * @param  ?Person  $person  signed in; null: nobody is
     * @param  bool  $guest  came in by the course's guest link
     * @param  ?Person  $observed  the learner with whom they look, to whom they are tied
     */
    public function __construct(public ?Person $person, public bool $guest = false, public ?Person $observed = null)
    {
    }
}
