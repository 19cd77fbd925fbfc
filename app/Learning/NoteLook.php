<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Course;
use App\Models\ItemVisit;
use App\Models\Person;
use Psr\Clock\ClockInterface;

/** Notes that somebody has looked at an item that is open to them, and by which way it was. */
final readonly class NoteLook
{
    public function __construct(private ClockInterface $clock, private PassingNotes $notes)
    {
    }

    public function __invoke(Person $person, Course $course, LearnerView $view, string $item): void
    {
        $via = $view->decision($item)?->via;
        if ($via === null) {
            return;
        }
        $at = $this->clock->now()->getTimestamp();
        // Within the minute it is the same look: reading is quick, writing is not.
        if (ItemVisit::query()->where('person_id', $person->id)->where('course_id', $course->id)->where('item_key', $item)->where('last_at', '>', gmdate('Y-m-d H:i:s', $at - 60))->exists()) {
            return;
        }
        $this->notes->looked($person->id, $course->id, $item, $via->value, $at);
    }
}
