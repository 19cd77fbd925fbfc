<?php

declare(strict_types=1);

namespace App\Agenda;

use SilentKeep\Core\Foresight\TurnKind;

/** What opens, closes or ends on one day, and for how many people. */
final readonly class AgendaTurn
{
    /**
     * @param  string  $day  a date
     * @param  string  $of  key of an item, or of the offer whose passes end; empty: the season
     * @param  int  $first  the earliest instant at which it does for any of them
     * @param  int  $last  the latest
     */
    public function __construct(public string $day, public TurnKind $kind, public string $of, public int $people, public int $first, public int $last)
    {
    }
}
