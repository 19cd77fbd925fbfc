<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Outline\CourseState;

/** All that is looked for in the rules of a course. A new check is a class of its own, named here, a kind, words (lang/en/checks.php) and a table test. */
final class Checks
{
    private function __construct()
    {
    }

    /** @return list<Finding> faults first, then in the order of their kinds */
    public static function findings(Survey $survey): array
    {
        $findings = [];
        // Nobody comes to what has been retired.
        foreach ($survey->state === CourseState::Retired ? [] : self::all() as $check) {
            foreach ($check->find($survey) as $finding) {
                $findings[] = $finding->because(Cause::of($finding, $survey->course));
            }
        }
        $levels = array_flip(array_map(static fn (Level $level): string => $level->value, Level::cases()));
        $kinds = array_flip(array_map(static fn (CheckKind $kind): string => $kind->value, CheckKind::cases()));
        usort($findings, static fn (Finding $a, Finding $b): int => [$levels[$a->kind->level()->value], $kinds[$a->kind->value]] <=> [$levels[$b->kind->level()->value], $kinds[$b->kind->value]]);

        return $findings;
    }

    /** @return list<Check> */
    private static function all(): array
    {
        return [
            new Ways\NeverComes, new Ways\FirstDay, new Ways\HoldsUp, new Ways\WaitsForNothing, new Ways\NewLessonLocks, new Ways\PastDates,
            new Selling\OffersAlike, new Selling\OpensNothing, new Selling\Sold, new Selling\GivenByNothing, new Selling\Trials,
            new Doors\Samples, new Doors\Opened, new Doors\Overtaking,
        ];
    }
}
