<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Models\Course;
use App\Models\Retirement;
use App\Publishing\Proposal;
use App\Words\Say;

/** What happens beside the rules when the draft that retires a course is published, in sentences. */
final class RetirementTold
{
    /** @return list<string> none where nothing is retired by it, or nothing was planned with it */
    public static function of(Proposal $proposal): array
    {
        $with = $proposal->draft === null || $proposal->document->read()->state() !== 'retired' ? null : Retirement::of($proposal->course->retirement);

        return $with === null ? [] : [
            ...($with->forGood ? [Say::text('pages.retirement.for_good')] : []),
            ...self::address($proposal->course, $with),
            ...($with->listed === $proposal->course->listed_over ? [] : [Say::text($with->listed ? 'pages.retirement.listed' : 'pages.retirement.not_listed')]),
            ...($with->takesNextRun === $proposal->course->takes_next_run ? [] : [Say::text($with->takesNextRun ? 'pages.retirement.takes' : 'pages.retirement.does_not_take')]),
        ];
    }

    /** @return list<string> */
    private static function address(Course $course, Retirement $with): array
    {
        if ($with->address === $course->address) {
            return [];
        }

        return $with->address === null
            ? [Say::text('pages.retirement.address_back', ['address' => $course->key])]
            : [Say::text("pages.retirement.address_{$with->oldAddress}", ['address' => $with->address, 'old' => $course->getRouteKey()])];
    }
}
