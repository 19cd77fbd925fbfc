<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Person;
use Illuminate\Support\Collection;

/** Something that is done to one person or to many at once. */
interface PeopleAct
{
    /** As an activity log names it: `pass.given`. */
    public function name(): string;

    /** What it does, as a sentence begins: "Give a Yard trial". */
    public function told(): string;

    /**
     * What it would do, in a fixed number of queries. Nothing is changed.
     *
     * @param  Collection<int, Person>  $people
     * @return list<ActStep> for each of them, in their order
     *
     * @throws CannotAct if it makes no sense for anybody
     */
    public function steps(Collection $people): array;

    /** Whether those who help people without running the school may do it. */
    public function isHelp(): bool;

    /** Whether it can be taken back. */
    public function canBeUndone(): bool;
}
