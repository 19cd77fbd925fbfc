<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody who works for the school may. */
enum Role: string
{
    /** All. */
    case Administrator = 'administrator';

    /** Edits and publishes some courses, and sees nothing of the others. */
    case Editor = 'editor';

    /** Sees all but what it takes to run the school; hands out, extends, answers. */
    case Assistant = 'assistant';

    /** Sees what assistants see, and changes nothing. */
    case LookerOn = 'looker-on';

    /** Whether they see all courses and people. */
    public function seesAll(): bool
    {
        return $this !== self::Editor;
    }

    /** Whether they hand out, extend and take words of others back. */
    public function helpsPeople(): bool
    {
        return $this === self::Administrator || $this === self::Assistant;
    }
}
