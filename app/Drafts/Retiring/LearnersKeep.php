<?php

declare(strict_types=1);

namespace App\Drafts\Retiring;

/** What becomes of those who hold a pass of a course that is retired. */
enum LearnersKeep: string
{
    /** It opens what it opened, to its own end. */
    case Pass = 'pass';
    /** Their passes last for good from then on. */
    case Good = 'good';
    /** Until the end of a day, which is the same for all. */
    case Day = 'day';
    case Nothing = 'nothing';
}
