<?php

declare(strict_types=1);

namespace Tests\Sightlines\Why;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\CourseDocument;
use App\Sightlines\Why\ApplyFixes;
use App\Sightlines\Why\BlindSpots;
use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\FindFixes;
use App\Sightlines\Why\FixByRule;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\RandomPlans;
use Tests\TestCase;

/** What the sheet offers to set really opens what it is asked of. */
final class FixesTest extends TestCase
{
    use AsksWhy;

    public function test_one_mend_for_each_thing_in_the_way_also_behind_another(): void
    {
        $this->school();
        $observer = new Viewer(signedIn: true, observes: self::holder());
        $fixes = self::fixes($this->cell($observer, item: ['tiers' => ['full'], 'after' => ['all' => ['start']]]));

        self::assertSame(['open_observer_door', 'observers_here', 'tier_too', 'nothing_first'], array_map(static fn (FixByRule $fix): string => $fix->kind, $fixes));
    }

    /** Whatever the plan and the viewer: what is proposed, made on a copy, lets the viewer in. */
    #[DataProvider('seeds')]
    public function test_what_is_proposed_opens_it(int $seed): void
    {
        $this->school();
        $json = (string) json_encode(RandomPlans::document($seed, true));
        $plan = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        self::assertInstanceOf(\stdClass::class, $plan);
        $document = new CourseDocument($plan->courses[0], array_values(array_filter($plan->offers, static fn (\stdClass $offer): bool => $offer->course === $plan->courses[0]->key)));
        $decider = app(Plans::class)->of($document);
        mt_srand($seed);
        $proposed = 0;
        for ($n = 0; $n < 4; $n++) {
            $viewer = RandomPlans::viewer(RandomPlans::plan($seed, true));
            $at = RandomPlans::instant();
            $cell = new CellContext(app(Plans::class)->ask($decider, $viewer, $at), $document, app(SchoolClock::class));
            foreach (array_keys($cell->outline->items) as $item) {
                $fixes = app(FindFixes::class)->toOpen($cell, $item);
                if ($fixes === []) {
                    continue;
                }
                $proposed++;
                self::assertFalse($cell->snapshot->standings[$item]->isOpen());
                $copy = $document->copy();
                (new ApplyFixes($fixes))->applyTo($copy);
                $after = app(Plans::class)->of($copy);
                self::assertTrue($after->snapshot($viewer, $at)->standings[$after->course->outline->positionOf($cell->key($item)) ?? self::fail()]->isOpen());
            }
        }
        $this->addToAssertionCount($proposed === 0 ? 1 : 0);
    }

    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, 12));
    }

    /**
     * @param  array<string, mixed>  $course
     * @param  array<string, mixed>  $plan
     */
    #[DataProvider('blindViewers')]
    public function test_the_blank_course_is_explained_in_one_line(Viewer $viewer, array $course, array $plan, ?string $said): void
    {
        $this->school();
        self::assertSame($said, self::blind($this->cell($viewer, $course, plan: $plan)));
    }

    /** @return array<string, array{Viewer, array<string, mixed>, array<string, mixed>, ?string}> */
    public static function blindViewers(): array
    {
        $observer = static fn (Viewer $learner): Viewer => new Viewer(signedIn: true, observes: $learner);
        $held = ['start' => ['opens' => ['rule' => 'held']], 'tools' => ['opens' => ['rule' => 'held']]];
        $later = ['start' => ['opens' => ['rule' => 'after_start', 'days' => 20]], 'tools' => ['opens' => ['rule' => 'after_start', 'days' => 30]]];

        return [
            'somebody who sees something' => [self::holder(), [], [], null],
            'the door is shut, rows would let in' => [$observer(self::holder()), ['observer_door' => ['default' => true]], [], 'The observer door is shut. > The observer door opens: then 3 of 3 rows are open to them.'],
            'the door is shut and no row lets in' => [$observer(self::holder()), [], [], 'The observer door is shut. > The observer door opens and every row lets observers in for which nothing else is set: then 3 of 3 rows are open to them.'],
            'the door is open and no row lets in' => [$observer(self::holder()), ['observer_door' => ['open' => true]], [], 'The observer door is open, but no row lets observers in. > Every row lets observers in for which nothing else is set: then 3 of 3 rows are open to them.'],
            'the learner sees nothing either' => [$observer(self::holder()), ['observer_door' => ['open' => true, 'default' => true]], $held, 'They follow their learner, who sees nothing either: everything is handed out one by one, and nothing has been handed to them.'],
            'all handed out' => [self::holder(), [], $held, 'Everything is handed out one by one, and nothing has been handed to them.'],
            'all later' => [self::holder(), [], $later, 'Nothing is open yet: Sweeping up is the first, Sun 22 Mar, 13:00.'],
            'the guest door is shut' => [new Viewer(guest: true), ['guest_door' => ['default' => true]], [], 'The guest door is shut. > The guest door opens: then 3 of 3 rows are open to them.'],
            'no sample' => [new Viewer, [], [], 'They are not signed in, and nothing here is a sample.'],
            'shut for reasons of their own' => [self::holder(), ['items' => [['key' => 'a', 'kind' => 'lesson', 'tiers' => ['full']], ['key' => 'b', 'kind' => 'lesson', 'only' => ['label' => 'crew']]]], [], 'Something is in the way of every row; choose one to see what.'],
            'an empty course' => [new Viewer, ['items' => []], [], null],
        ];
    }

    public function test_a_diagnosis_never_offers_what_would_not_help(): void
    {
        $this->school();
        // The learner sees nothing, so that opening the door would show the observer nothing.
        $cell = $this->cell(new Viewer(signedIn: true, observes: new Viewer(signedIn: true)));

        self::assertSame(ViewerKind::Observer, $cell->snapshot->kind());
        self::assertSame([], app(BlindSpots::class)->of($cell)?->fixes);
    }
}
