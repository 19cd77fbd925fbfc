<?php

declare(strict_types=1);

namespace App\Checks;

use SilentKeep\Core\Checks\Finding;

/** The findings of one version of a course's rules. */
final readonly class KeptFindings
{
    /** @param  list<Finding>  $findings */
    public function __construct(public array $findings)
    {
    }
}
