<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\OpensOn;
use SilentKeep\Core\Rules\PlanEntry;

/** A date that is new in a draft and lies in the past already. */
final class PastDates implements Check
{
    public function find(Survey $survey): iterable
    {
        $live = $survey->circumstances->live;
        if ($live === null && $survey->state !== CourseState::Draft) {
            return;
        }
        foreach ($survey->course->plans as $plan) {
            $past = [];
            foreach ($plan->entries as $position => $entry) {
                $key = $survey->outline->items[$position]->key;
                if (self::isPast($entry, $survey->circumstances->at) && ! self::wasSo($live, $plan->name, $key, $entry)) {
                    $past[$position] = $key;
                }
            }
            if ($past !== []) {
                ksort($past);
                yield new Finding(CheckKind::DatePast, array_values($past), about: [$plan->name]);
            }
        }
    }

    private static function isPast(PlanEntry $entry, int $at): bool
    {
        return ($entry->opens instanceof OpensOn && $entry->opens->at < $at) || ($entry->closes instanceof ClosesOn && $entry->closes->at < $at);
    }

    private static function wasSo(?Course $live, string $plan, string $key, PlanEntry $entry): bool
    {
        $position = $live?->outline->positionOf($key);

        return $position !== null && ($live->plans[$plan]->entries[$position] ?? null) == $entry;
    }
}
