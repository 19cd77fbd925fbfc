<?php

declare(strict_types=1);

namespace App\Models;

/** Whether somebody who holds or has held a pass of an offer may take another. */
enum TakenAgain: string
{
    /** Nobody ever takes it twice, whatever became of their pass. */
    case Once = 'once';

    /** Whoever holds it takes another that begins where theirs ends. */
    case Renewal = 'renewal';

    /** Not while they hold it, but once that has ended. */
    case Afterwards = 'afterwards';
}
