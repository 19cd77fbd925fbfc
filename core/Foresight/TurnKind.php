<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

enum TurnKind: string
{
    case Opens = 'opens';
    case Closes = 'closes';
    case PassBegins = 'pass_begins';
    case PassEnds = 'pass_ends';
    case SeasonEnds = 'season_ends';
}
