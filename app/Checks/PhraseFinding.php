<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\CourseDocument;
use App\Words\Sentence;

/** Guests are asked for a pass phrase at the door, and not again. */
final class PhraseFinding
{
    private function __construct()
    {
    }

    /** @return list<Sentence> */
    public static function of(?CourseDocument $live, CourseDocument $document): array
    {
        return $live !== null && $live->read()->guestDoor()->open && $document->read()->guestDoor()->open && $live->guestPhrase() === null && $document->guestPhrase() !== null
            ? [Sentence::say('checks.guests_who_came_in')]
            : [];
    }
}
