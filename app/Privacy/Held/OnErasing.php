<?php

declare(strict_types=1);

namespace App\Privacy\Held;

/** What becomes of somebody's rows when they are erased. */
enum OnErasing: string
{
    /** Who they are: it is the first thing that goes, and the row is their number. */
    case AtOnce = 'at once';

    case RowsGo = 'rows';

    /** The rows are counted, so they stay; what was written in them goes. */
    case WordsGo = 'words';

    /** Nothing in them says who it was. */
    case Stays = 'stays';
}
