<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

enum CourseState: string
{
    case Draft = 'draft';
    case Live = 'live';
    case Retired = 'retired';
}
