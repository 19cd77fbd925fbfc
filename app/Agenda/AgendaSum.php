<?php

declare(strict_types=1);

namespace App\Agenda;

/** A course's week in three numbers' worth: without spelling out each day of two hundred courses. */
final readonly class AgendaSum
{
    /**
     * @param  int  $opens  how often something opens on a day
     * @param  int  $ends  how often something closes, or a pass or the season ends on one
     * @param  ?AgendaTurn  $next  what opens first of what is still to come
     */
    public function __construct(public int $opens, public int $ends, public ?AgendaTurn $next)
    {
    }
}
