<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Access\Plans;
use App\Models\Offer;
use App\Pages\Offers\OffersPageBuilder;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\NewPass;
use Tests\TestCase;

/** A course to whoever has not come in: beside its outline a column for each pass, with the dates that the engine has for it. */
final class OutsideTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @return array<string, mixed> */
    private function page(string $course = 'clinker'): array
    {
        $props = [];
        $this->get("/courses/{$course}")->assertOk()->assertInertia(function (Page $page) use (&$props): void {
            $props = $page->toArray()['props'];
        });

        return $props;
    }

    /** @return array<string, ?string> when the pass opens what, by item */
    private function column(string $offer, string $course = 'clinker'): array
    {
        $page = $this->page($course);
        foreach ($page['columns'] as $column) {
            if ($column['offer']['key'] === $offer) {
                return array_combine(array_column($page['course']['path'], 'key'), $column['opens']);
            }
        }
        self::fail("There is no column for {$offer}.");
    }

    public function test_each_pass_says_when_it_opens_what_from_now(): void
    {
        $apprentice = $this->column('apprentice-pass');
        self::assertSame(['at once', 'day 8', null, 'a Monday, week 3', '3 Apr'], [$apprentice['l-welcome'], $apprentice['l-planes'], $apprentice['l-advanced'], $apprentice['l-garboard'], $apprentice['l-launch']]);
        $tools = $this->column('tools-only');
        self::assertSame([null, 'at once', '3 of 4', '0 of 2'], [$tools['l-welcome'], $tools['l-planes'], $tools['m-tools'], $tools['m-planks']]);
        self::assertSame('day 8', $this->column('journeyman-pass')['l-advanced']);
    }

    /** @return iterable<string, array{string}> */
    public static function hours(): iterable
    {
        yield 'half past eleven at night in Oslo' => ['2026-03-10T22:30:00Z'];
        yield 'likewise, over a change of the clock' => ['2026-03-26T22:30:00Z'];
        yield 'just after midnight' => ['2026-03-10T23:05:00Z'];
        yield 'before the hour at which it opens' => ['2026-03-11T06:00:00Z'];
    }

    #[DataProvider('hours')]
    public function test_a_day_is_counted_in_nights_whatever_the_hour(string $now): void
    {
        Carbon::setTestNow($now);
        self::assertSame('day 8', $this->column('apprentice-pass')['l-planes']);
    }

    public function test_what_waits_for_the_season_says_its_day(): void
    {
        Carbon::setTestNow('2026-02-10T12:00:00Z');
        self::assertSame('18 Feb', $this->column('refit-crew', 'winter-refit')['l-scrape']);
        self::assertSame('Runs Wed 18 Feb to Tue 19 May', $this->page('winter-refit')['face']['season']);
    }

    /** Of how many, a visitor is told without those that are hidden from them. */
    public function test_the_counts_are_those_of_offers(): void
    {
        $rows = [];
        foreach (app(OffersPageBuilder::class)->page(mayRun: true, page: 1, course: '')->courses as $course) {
            foreach ($course->offers as $row) {
                $rows[$row->key] = [array_map(static fn ($reach): int => $reach->open, $row->opens), $course->key];
            }
        }
        $compared = 0;
        foreach (['clinker', 'steam-frames', 'winter-refit'] as $key) {
            $page = $this->page($key);
            $modules = array_keys(array_filter($page['course']['path'], static fn (array $row): bool => $row['kind'] === 'module' && $row['depth'] === 0));
            foreach ($page['columns'] as $column) {
                self::assertSame($rows[$column['offer']['key']][0], array_map(static fn (int $at): int => (int) $column['opens'][$at], $modules), $column['offer']['key']);
                $compared++;
            }
        }
        self::assertSame(6, $compared);
    }

    public function test_what_opens_at_once_is_what_the_engine_opens_now(): void
    {
        $decider = app(Plans::class)->live($this->course('clinker')) ?? self::fail();
        foreach ($this->page()['columns'] as $column) {
            $offer = $decider->prepared->plan->offer($column['offer']['key']) ?? self::fail();
            $pass = NewPass::of($offer, now()->getTimestamp(), [], $decider->prepared, $decider->prepared->plan->zone);
            $dates = (new DatesForPass($decider->prepared))->dates($offer, $pass, []);
            foreach ($this->page()['course']['path'] as $at => $row) {
                $item = $dates[$decider->course->outline->positionOf($row['key']) ?? self::fail()];
                if ($row['kind'] !== 'module') {
                    self::assertSame($item->isReachedBy($pass) && $item->opens <= $pass->from, $column['opens'][$at] === 'at once', "{$column['offer']['key']} {$row['key']}");
                }
            }
        }
    }

    public function test_only_what_this_visitor_may_take_has_a_column(): void
    {
        $keys = fn (): array => array_map(static fn (array $column): string => $column['offer']['key'], $this->page()['columns']);
        self::assertSame(['apprentice-pass', 'journeyman-pass', 'yard-trial', 'tools-only'], $keys());
        // A trial is there once, and her trial is over.
        $this->actingAs($this->person('nina'));
        self::assertSame(['apprentice-pass', 'journeyman-pass', 'tools-only'], $keys());
        Offer::query()->where('key', 'tools-only')->update(['price' => null]);
        $this->inAnotherProcess();
        self::assertSame(['apprentice-pass', 'journeyman-pass'], $keys());
        // Whoever is in has none.
        $this->actingAs($this->person('eira'));
        self::assertSame([], $keys());
        self::assertTrue($this->page()['inside']);
    }

    public function test_the_outline_says_what_is_in_it(): void
    {
        $page = $this->page();
        $holds = array_combine(array_column($page['course']['path'], 'key'), $page['face']['holds']);
        self::assertSame(['have a look, 6 min', '4 lessons, 1 film, 1 h 35 min, one after the other', 'quiz, 24 min', 'film, 16 min'], [$holds['l-welcome'], $holds['m-tools'], $holds['l-timber'], $holds['l-steam']]);
        self::assertSame('8 lessons, 2 films, 1 quiz, 3 h 25 min', $page['face']['takes']);
    }

    public function test_of_what_is_hidden_nothing_is_counted(): void
    {
        // A bonus that others do not even see, and a draft.
        $page = $this->page();
        self::assertNotContains('l-bonus', array_column($page['course']['path'], 'key'));
        $minutes = 0;
        foreach ($page['course']['path'] as $at => $row) {
            $minutes += in_array($row['kind'], ['lesson', 'part'], true) && preg_match('/(\d+) min$/', $page['face']['holds'][$at], $found) === 1 ? (int) $found[1] : 0;
        }
        self::assertSame(3 * 60 + 24, $minutes);
    }

    public function test_whom_to_ask_is_the_courses_own_or_the_schools(): void
    {
        self::assertSame(['Hege Strand', 'hege@alder.test'], [$this->page()['face']['contactName'], $this->page()['face']['contactEmail']]);
        self::assertSame(['Aksel Vik', 'aksel@alder.test'], [$this->page('steam-frames')['face']['contactName'], $this->page('steam-frames')['face']['contactEmail']]);
    }
}
