<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use App\People\HeldLabel;
use App\People\PeoplesLabels;
use App\Triggers\Spec\Only;
use App\Words\Say;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;

/** Whether what else must be so of somebody is so now. What is open to them, and what they have finished, is the core's to say. */
final readonly class ForWhom
{
    public function __construct(private PeoplesLabels $labels, private SchoolClock $clock, private Plans $plans, private Viewers $viewers, private CourseShelf $shelf)
    {
    }

    /** @return ?string why nothing is done for them, in words; null: all is as it must be */
    public function against(Only $only, Person $person): ?string
    {
        if ($only->isOpen()) {
            return null;
        }
        $labels = array_map(static fn (HeldLabel $held): string => $held->label, $this->labels->of([$person->id])[$person->id] ?? []);
        [$holds, $courses] = $this->holds($only, $person);

        return match (true) {
            $only->label !== null && ! in_array($only->label, $labels, true) => Say::text('triggers.against.label', ['label' => $only->label]),
            $only->notLabel !== null && in_array($only->notLabel, $labels, true) => Say::text('triggers.against.not_label', ['label' => $only->notLabel]),
            $only->holds !== null && ! in_array($only->holds, $holds, true) => Say::text('triggers.against.holds', ['offer' => $only->holds]),
            $only->notHolds !== null && in_array($only->notHolds, $holds, true) => Say::text('triggers.against.not_holds', ['offer' => $only->notHolds]),
            $only->holdsCourse !== null && ! in_array($this->shelf->byKey($only->holdsCourse)?->id, $courses, true) => Say::text('triggers.against.holds_course', ['course' => $only->holdsCourse]),
            default => $this->againstRow($only, $person),
        };
    }

    /** @return array{list<string>, list<int>} keys of the offers, and ids of the courses, of which they hold a pass that is in force */
    private function holds(Only $only, Person $person): array
    {
        $offers = $courses = [];
        foreach ($only->holds === null && $only->notHolds === null && $only->holdsCourse === null ? [] : Pass::query()->with('offer')->where('person_id', $person->id)->get() as $pass) {
            if (Viewers::pass($pass)->isActive($this->clock->now())) {
                $offers[] = $pass->offer->key;
                $courses[] = $pass->course_id;
            }
        }

        return [$offers, $courses];
    }

    private function againstRow(Only $only, Person $person): ?string
    {
        if ($only->row === null) {
            return null;
        }
        $course = Course::query()->with('liveRevision')->where('key', $only->course)->first();
        $decider = $course === null ? null : $this->plans->live($course);
        $position = $decider?->course->outline->positionOf((string) $only->item);
        $is = false;
        if ($course !== null && $decider !== null && $position !== null) {
            $now = $this->clock->now();
            $answer = $this->plans->ask($decider, $this->viewers->of($person, $course), $now);
            $item = $decider->course->outline->items[$position];
            $is = match (true) {
                in_array($only->row, ['open', 'not-open'], true) => $answer->state($position) === State::Open,
                // A module is finished for a pass: what counts in it depends on that.
                $item->kind === Kind::Module => $answer->snapshot()->nearestPass($position)?->progress->isComplete($position) === true,
                default => ($answer->viewer->done[$item->key] ?? PHP_INT_MAX) <= $now,
            };
        }

        return $is === in_array($only->row, ['done', 'open'], true) ? null : Say::text('triggers.against.row', ['row' => strtr($only->row, '-', '_'), 'item' => $course === null ? (string) $only->item : $this->shelf->itemTitle($course->id, (string) $only->item)]);
    }
}
