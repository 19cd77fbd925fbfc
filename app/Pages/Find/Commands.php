<?php

declare(strict_types=1);

namespace App\Pages\Find;

use App\Models\Course;
use App\Words\Say;
use App\Words\Typed;

/** What can be done and set, by every word that the trade has for it. */
final class Commands
{
    /** Keys in lang/en/find.php, with the page and its query; those of a course are of the one at hand. */
    private const ALL = [
        'sample' => ['keep.course', ['lens' => 'rules', 'find' => 'sample']],
        'release' => ['keep.course', ['lens' => 'rules']],
        'after' => ['keep.course', ['lens' => 'rules']],
        'tier' => ['keep.course', ['lens' => 'rules']],
        'closing_time' => ['keep.course', ['lens' => 'rules']],
        'hidden' => ['keep.course', ['lens' => 'rules']],
        'doors' => ['keep.course', ['lens' => 'rules']],
        'season' => ['keep.course', ['lens' => 'rules']],
        'look' => ['keep.course', ['lens' => 'sightlines']],
        'timeline' => ['keep.course', ['lens' => 'timeline']],
        'met' => ['keep.course', ['lens' => 'notices']],
        'rehearse' => ['keep.rehearsal', []],
        'history' => ['keep.history', []],
        'checks' => ['keep.checks', []],
        'numbers' => ['keep.numbers', []],
        'contents' => ['keep.contents', []],
        'quiz' => ['keep.contents', []],
        'retire' => ['keep.retire', []],
        'run_again' => ['keep.run-again', []],
        'plan_file' => ['keep.plan-file', []],
        'today' => ['keep.today', null],
        'courses' => ['keep.courses', null],
        'people' => ['keep.people.list', null],
        'bring_in' => ['keep.bring-in', null],
        'observers' => ['keep.people.list', null, ['standing' => 'observes']],
        'trials' => ['keep.people.list', null, ['standing' => 'trial']],
        'lookers' => ['keep.people.list', null, ['standing' => 'samples']],
        'labels' => ['keep.labels', null],
        'extend' => ['keep.people.list', null, ['ends_in' => 14, 'sort' => 'ends']],
        'offers' => ['keep.offers', null],
        'bundles' => ['keep.offers', null],
        'notices' => ['keep.notices', null],
        'shared_notices' => ['keep.shared-notices', null],
        'letters' => ['keep.letters', null],
        'triggers' => ['keep.triggers', null],
        'forms' => ['keep.forms', null],
        'outbox' => ['keep.outbox', null],
        'outside' => ['keep.outside', null],
        'tokens' => ['keep.tokens', null],
        'school' => ['keep.school', null],
        'staff' => ['keep.staff', null],
        'front' => ['keep.school', null],
        'zone' => ['keep.school', null],
        'guests_at_all' => ['keep.school', null],
        'holidays' => ['keep.school', null],
        'guide' => ['keep.guide', null],
        'password' => ['account', null],
        'interface' => ['interface', null],
    ];

    private const EVERYBODYS = ['today', 'courses', 'guide', 'password'];

    /** What a phrase counts less for whose words stand in several of ours. */
    private const APART = 12;

    private function __construct()
    {
    }

    /**
     * The best first.
     *
     * @param  ?Course  $course  the one at hand, if there is any
     * @param  bool  $mayRun  whether what only administrators may see is among them
     * @param  bool  $ofCourses  whether only what is of a course is, and what is everybody's
     * @return list<array{int, FoundThing}> with their scores
     */
    public static function find(Typed $typed, ?Course $course, string $courseTitle, bool $mayRun, bool $ofCourses = false): array
    {
        $found = [];
        foreach (self::ALL as $key => $where) {
            [$route, $query] = $where;
            if (($query !== null && $course === null) || (! $mayRun && in_array($key, ['outbox', 'outside', 'tokens', 'bring_in'], true)) || ($ofCourses && $query === null && ! in_array($key, self::EVERYBODYS, true))) {
                continue;
            }
            $title = Say::text("find.do.{$key}.title");
            $words = Say::text("find.do.{$key}.words");
            $scores = array_map($typed->score(...), [$title, ...explode(', ', $words)]);
            // Of several phrases together, less than of one.
            $scores[] = $typed->score("{$title} {$words}") - self::APART;
            // What the trade calls it counts as much as what we do; but of two, ours.
            $score = max($scores[0] + ($scores[0] > 0 ? 5 : 0), ...array_slice($scores, 1));
            if ($score > 0) {
                $found[] = [$score, new FoundThing('do', "do {$key}", $title, Say::text("find.do.{$key}.note").($query === null ? '' : " · {$courseTitle}"), $query === null ? route($route, $where[2] ?? [], false) : route($route, ['course' => $course, ...$query], false))];
            }
        }

        return $found;
    }
}
