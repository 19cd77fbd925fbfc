<?php

declare(strict_types=1);

namespace Tests\Sightlines\Why;

use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\FixByAct;
use App\Sightlines\Why\PossibleFix;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\TestCase;

/** What the school can do for one person so that an item opens: to whom, and with what. */
final class FixesByActsTest extends TestCase
{
    use AsksWhy;

    private const OPEN = ['observer_door' => ['open' => true, 'default' => true]];

    private const AFTER_TWO = ['items' => [
        ['key' => 'start', 'kind' => 'lesson', 'title' => 'Sweeping up'], ['key' => 'oil', 'kind' => 'lesson', 'title' => 'Oiling'],
        ['key' => 'plane', 'kind' => 'lesson', 'title' => 'Tuning a plane', 'after' => ['all' => ['start', 'oil']]],
    ]];

    public function test_of_several_things_that_come_first_all_are_marked_where_no_one_is_enough(): void
    {
        $this->school();
        self::assertSame([
            'By the learner: Once Sweeping up and Oiling are finished.',
            'Mark Sweeping up and Oiling as finished for them: It opens at once then.',
            'Hand it to one person: Opens at once, whatever the gates say.',
            'Another rule: Nothing comes before Tuning a plane.',
        ], self::ways($this->cell(self::holder(), course: self::AFTER_TWO)));
        // One of the two is done: the other is enough.
        self::assertContains('Mark Oiling as finished for them: It opens at once then.', self::ways($this->cell(self::holder(done: ['start' => Instant::parse('2026-03-05T12:00:00Z')]), course: self::AFTER_TWO)));
    }

    public function test_a_paused_pass_of_whom_they_look_in_on_is_taken_up(): void
    {
        $this->school();
        $paused = new Viewer(signedIn: true, passes: [new Pass('basic', Instant::parse('2026-03-02T12:00:00Z'), state: PassState::Paused)]);
        $cell = $this->cell(new Viewer(signedIn: true, observes: $paused), course: self::OPEN);
        self::assertSame(['Learner: They follow their learner, who is not let in here:', 'Pass: Basic pass is paused.'], self::shut($cell));
        self::assertSame([
            'Basic pass: At once; ends Thu 18 Jun.',
            'Full pass: At once.',
            'Take Basic pass up again, for their learner: It opens at once then.',
            'Hand it to their learner: Opens at once, whatever the gates say.',
        ], self::ways($cell));
    }

    public function test_what_is_done_is_done_to_the_viewer_or_to_whom_they_look_in_on(): void
    {
        $this->school();
        $acts = static fn (CellContext $cell): array => array_map(static fn (FixByAct $act): array => [$act->do, $act->items === [] ? $act->item ?? $act->offer : $act->items, $act->toLearner], array_values(array_filter(array_map(static fn (PossibleFix $way): ?FixByAct => $way->byAct, self::fixesOf($cell)))));
        $rules = ['course' => [...self::OPEN, ...self::AFTER_TWO]];
        self::assertSame([['finish', ['start', 'oil'], false], ['grant', 'plane', false]], $acts($this->cell(self::holder(offer: 'basic'), ...['plan' => ['plane' => ['opens' => ['rule' => 'after_start', 'days' => 3]]], ...$rules])));
        $observed = $acts($this->cell(new Viewer(signedIn: true, observes: self::holder()), ...$rules));
        self::assertSame([['finish', ['start', 'oil'], true], ['grant', 'plane', true]], array_values(array_filter($observed, static fn (array $act): bool => $act[0] !== 'give')));
        self::assertSame([false], array_values(array_unique(array_column(array_filter($observed, static fn (array $act): bool => $act[0] === 'give'), 2))));
        $later = $acts($this->cell(new Viewer(signedIn: true, passes: [new Pass('basic', Instant::parse('2026-03-12T12:00:00Z'))])));
        self::assertContains(['begin', 'basic', false], $later);
    }

    public function test_a_grant_that_begins_later_is_waited_for(): void
    {
        $this->school();
        $viewer = new Viewer(signedIn: true, grants: [new Grant('tools', Instant::parse('2026-03-12T08:00:00Z'))]);

        self::assertContains('By itself: On Thu 12 Mar, 09:00, if nothing else is done.', self::ways($this->cell($viewer)));
    }
}
