<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

enum FinishedBy: string
{
    case Mark = 'mark';
    case Visit = 'visit';
    case Watch = 'watch';
    case Quiz = 'quiz';
}
