<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Errors\CoreException;

/** A plan document was refused, whole. */
final class InvalidPlan extends \InvalidArgumentException implements CoreException
{
    /** @param  non-empty-list<Offence>  $offences  in document order, as far as they could be told */
    public function __construct(public readonly array $offences)
    {
        parent::__construct('The plan is refused: '.$offences[0].(count($offences) > 1 ? ' (and '.(count($offences) - 1).' more)' : ''));
    }
}
