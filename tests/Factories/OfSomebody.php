<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Person;

/** For what somebody holds or has done. */
trait OfSomebody
{
    public function of(Person $person): static
    {
        return $this->state(['person_id' => $person->id]);
    }
}
