<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledCourse;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;
use Tests\Core\RandomPlans;

/** What is kept for others is what they have themselves. */
final class SharedAnswersTest extends TestCase
{
    /**
     * @param  list<string>  $first
     * @param  list<string>  $second
     */
    #[DataProvider('labels')]
    public function test_labels_that_look_alike_together_are_told_apart(array $first, array $second, bool $timed): void
    {
        $plan = D::plan(array_map(static fn (string $label): array => D::lesson('l-'.bin2hex($label), only: ['label' => $label]), array_values(array_unique([...$first, ...$second]))));
        $at = Instant::parse('2026-06-15T10:00:00Z');
        $together = new CompiledDecider($plan, $plan->courses['c']);
        foreach ([$first, $second, $first] as $labels) {
            $viewer = new Viewer(
                signedIn: true, labels: $timed ? [] : $labels, passes: [new Pass('o', $at - 86400)],
                timedLabels: $timed ? array_map(static fn (string $label): TimedLabel => new TimedLabel($label, $at - 60), $labels) : [],
            );
            $alone = new CompiledDecider($plan, $plan->courses['c']);
            self::assertSame(self::told($alone->decide($viewer, $at)), self::told($together->decide($viewer, $at)));
        }
    }

    /** @return iterable<string, array{list<string>, list<string>, bool}> */
    public static function labels(): iterable
    {
        foreach ([false, true] as $timed) {
            $how = $timed ? ', held for a time' : '';
            yield 'two run together'.$how => [['a', 'b'], ['ab'], $timed];
            yield 'one with a comma'.$how => [['a', 'b'], ['a,b'], $timed];
            yield 'one with what stands between'.$how => [['a', 'b'], ['a,1:b'], $timed];
            yield 'one with a zero byte'.$how => [['a', 'b'], ["a\x00b"], $timed];
            yield 'digits'.$how => [['1', '12'], ['11', '2'], $timed];
        }
    }

    public function test_no_more_is_kept_than_the_size_of_a_course_allows(): void
    {
        $lessons = array_map(static fn (int $n): array => D::lesson("l{$n}", after: $n === 0 ? null : ['all' => ['l'.($n - 1)]]), range(0, 9_999));
        $plan = D::plan($lessons);
        $decider = new CompiledDecider($plan, $plan->courses['c']);
        $at = Instant::parse('2026-06-15T10:00:00Z');
        $kept = new \ReflectionProperty(CompiledCourse::class, 'progress');
        for ($n = 0; $n < 128; $n++) {
            $done = [];
            foreach (range(0, 6) as $lesson) {
                if (($n >> $lesson & 1) === 1) {
                    $done["l{$lesson}"] = $at - 60;
                }
            }
            $decider->states($decider->viewer(new Viewer(signedIn: true, passes: [new Pass('o', $at - 86400)], done: $done), $at), $at);
            $progress = $kept->getValue($decider->compiled);
            self::assertIsArray($progress);
            self::assertLessThanOrEqual(100, count($progress));
        }
    }

    /** One answer serves all who have nothing of their own: only those who are the same, and only at that instant. */
    public function test_whoever_has_nothing_of_their_own_is_told_what_their_like_are_told(): void
    {
        $at = Instant::parse('2026-06-15T10:00:00Z');
        $plan = D::plan(
            [D::lesson('a', sample: true), D::lesson('b'), D::lesson('c', only: ['label' => 'bonus'], sample: true), D::lesson('d', only: ['from' => '2026-06-16T09:00'], sample: true), D::lesson('e', only: ['done' => 'a'], sample: true)],
            ['sample_needs_account' => true, 'guest_door' => ['open' => true, 'default' => true]],
        );
        $decider = new CompiledDecider($plan, $plan->courses['c']);
        $definition = new Decider($plan, $plan->courses['c']);
        $viewers = [
            new Viewer, new Viewer(guest: true), new Viewer(signedIn: true), new Viewer(signedIn: true, guest: true), new Viewer(staff: true, signedIn: true),
            new Viewer(signedIn: true, labels: ['bonus']), new Viewer(signedIn: true, done: ['a' => $at - 60]), new Viewer(signedIn: true, grants: [new Grant('b', $at, Instant::NEVER)]),
            new Viewer(signedIn: true, passes: [new Pass('o', $at)]), new Viewer(signedIn: true, timedLabels: [new TimedLabel('bonus', $at, Instant::NEVER)]),
            new Viewer(signedIn: true, observes: new Viewer(signedIn: true, labels: ['bonus'])),
        ];
        $told = [];
        foreach ([$at, $at + 86400, $at, $at + 86400] as $instant) {
            foreach ($viewers as $viewer) {
                $of = self::told($definition->decide($viewer, $instant));
                self::assertSame($of, self::told($decider->decide($viewer, $instant)));
                self::assertSame(array_map(static fn (Decision $decision): string => $decision->state->value[0], $definition->decide($viewer, $instant)), str_split($decider->states($decider->viewer($viewer, $instant), $instant)));
                $told[serialize($of)] = true;
            }
        }
        self::assertGreaterThan(8, count($told), 'Most of them are told something else.');
    }

    public function test_progress_that_goes_on_is_looked_at_anew(): void
    {
        $plan = D::plan([D::lesson('a'), D::lesson('b', after: ['all' => ['a']])]);
        $course = (new CompiledDecider($plan, $plan->courses['c']))->compiled;
        $progress = new Progress($course, $course->precedence($course->all), $course->none);
        self::assertSame("\x01\x00", $progress->passes());
        $progress->finish(0);
        self::assertSame("\x01\x01", $progress->passes());
    }

    /**
     * @param  list<Decision>  $decisions
     * @return list<array<string, mixed>>
     */
    private static function told(array $decisions): array
    {
        return array_map(static fn (Decision $decision): array => $decision->toArray(), $decisions);
    }

    /** What is compiled is kept between requests, and by then it may have served anybody. */
    public function test_a_compiled_course_that_has_served_many_can_be_kept_and_answers_the_same(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $plan = RandomPlans::plan($seed);
            $compiled = new CompiledDecider($plan, $plan->courses['c']);
            $viewers = array_map(static fn (): Viewer => RandomPlans::viewer($plan), range(1, 15));
            $at = RandomPlans::instant();
            $states = static fn (CompiledDecider $decider): array => array_map(static fn (Viewer $viewer): string => $decider->answers($viewer, $at)->states, $viewers);
            $told = $states($compiled);
            $kept = unserialize(serialize($compiled));
            self::assertInstanceOf(CompiledDecider::class, $kept);
            self::assertSame($told, $states($kept), "Seed {$seed}");
        }
    }
}
