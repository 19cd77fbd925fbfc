<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Access\SchoolOf;
use App\Ledger\Past\Entries;
use App\Ledger\Past\Facts;
use App\Ledger\Past\Moment;
use App\Ledger\Past\PastRules;
use App\Ledger\Past\PastSchool;
use App\Models\Course;

/** Which rules a course had, one after another: what is the same for everybody. */
final readonly class RulesOverTime
{
    public function __construct(private SchoolOf $school, private PastRules $revisions)
    {
    }

    /** @return non-empty-list<RulesThen> ascending; those that came to the same as the ones before are left out */
    public function of(Course $course, int $until): array
    {
        $facts = new Facts;
        // Before anything is known nothing is published.
        $all = [$was = new RulesThen(PHP_INT_MIN, '', PastSchool::of($facts, $course->id, ($this->school)()), null, null)];
        $at = PHP_INT_MIN;
        foreach ([...Entries::of([], $course->id, new Moment($until)), null] as $entry) {
            if ($entry === null || $entry->at > $at) {
                $then = $this->then($facts, $course, $at, $was);
                $then === null ?: $all[] = $was = $then;
            }
            if ($entry !== null) {
                $at = max($at, $entry->at);
                $facts->take($entry);
            }
        }

        return $all;
    }

    private function then(Facts $facts, Course $course, int $at, RulesThen $was): ?RulesThen
    {
        $school = PastSchool::of($facts, $course->id, ($this->school)());
        $cause = match (true) {
            $school->revision() !== $was->school->revision() => Cause::revision($school->revision()),
            $school->stamp() !== $was->school->stamp() => Cause::SCHOOL,
            $school->givenLabels() !== $was->school->givenLabels() => Cause::OFFERS,
            default => null,
        };
        if ($cause === null) {
            return null;
        }
        $revision = $school->revision() === null ? null : $this->revisions->of($school->revision());
        $plans = $this->revisions->plans($school);
        $decider = $revision === null ? null : $plans->of($revision->document);

        return new RulesThen($at, $cause, $school, $decider, $decider === null ? null : $plans->compiled($decider));
    }
}
