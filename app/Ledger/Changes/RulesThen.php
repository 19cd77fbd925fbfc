<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Ledger\Past\PastSchool;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;

/** The rules of a course from an instant on, until others went live or the school became another. */
final readonly class RulesThen
{
    /**
     * @param  int  $at  seconds since 1970
     * @param  string  $cause  what brought them; empty: they are the first
     * @param  ?Decider  $decider  null: nothing was published
     */
    public function __construct(public int $at, public string $cause, public PastSchool $school, public ?Decider $decider, public ?CompiledDecider $compiled)
    {
    }
}
