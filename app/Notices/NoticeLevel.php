<?php

declare(strict_types=1);

namespace App\Notices;

/** Whose words stand at a closed door, the most specific first. */
enum NoticeLevel: string
{
    case Own = 'own';
    case Module = 'module';
    case Course = 'course';
    case School = 'school';
    case Usual = 'usual';
}
