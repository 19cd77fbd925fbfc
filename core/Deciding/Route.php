<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

/** The ways by which an item opens, in the order in which they are tried. */
enum Route: string
{
    case Staff = 'staff';
    case Pass = 'pass';
    case Grant = 'grant';
    case Anyone = 'anyone';
    case Sample = 'sample';
    case Observer = 'observer';
    case Guest = 'guest';
}
