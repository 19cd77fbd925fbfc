<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Models\Course;
use App\Models\Offer;
use App\Models\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** The front of the school: what it says of each course is asked of the engine and of the shop, for whoever looks. */
final class FrontTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @return array<string, array<string, mixed>> cards by course */
    private function cards(): array
    {
        $cards = [];
        $this->get('/')->assertOk()->assertInertia(function (Page $page) use (&$cards): void {
            foreach ((array) $page->toArray()['props']['courses'] as $card) {
                $cards[$card['key']] = $card;
            }
        });

        return $cards;
    }

    /** @return iterable<string, array{string, string, string, string}> course; what it takes; what it costs; what to do next */
    public static function told(): iterable
    {
        yield 'several ways in, and a sample' => ['clinker', '8 lessons, 2 films, 3 h 25 min · a module a week', 'from 60 EUR', 'Have a look first'];
        yield 'one way in, and a fortnight' => ['steam-frames', '5 lessons, 1 h 10 min · a module every second week', '180 EUR', 'Have a look first'];
        yield 'open to anyone' => ['sails', '3 lessons, 52 min', 'free', 'Start'];
        yield 'a season under way' => ['winter-refit', '4 lessons, 1 h 30 min · over 2 weeks', '120 EUR', 'See the course'];
    }

    #[DataProvider('told')]
    public function test_a_card_says_what_the_course_takes_and_costs(string $course, string $takes, string $state, string $act): void
    {
        $card = $this->cards()[$course];
        self::assertSame([$takes, $state, $act, false], [$card['takes'], $card['state'], $card['act'], $card['mine']]);
    }

    public function test_the_words_over_it_are_the_schools_and_without_them_its_name(): void
    {
        $this->get('/')->assertInertia(fn (Page $page) => $page->where('heading', 'Boats by hand, an evening at a time')->where('subjects', ['Hull', 'Rig and sails', 'Winter work']));
        School::query()->update(['front_title' => '', 'front_text' => '']);
        $this->inAnotherProcess();
        $this->get('/')->assertInertia(fn (Page $page) => $page->where('heading', 'Alder & Tide')->where('text', ''));
    }

    public function test_no_word_of_those_who_run_it_stands_on_a_public_page(): void
    {
        foreach (['/', '/courses/clinker', '/courses/sails', '/courses/winter-refit', '/courses/clinker/l-planes', '/checkout/apprentice-pass'] as $page) {
            self::assertDoesNotMatchRegularExpression('/by offer|\btier\b|release plan|vantage/i', strip_tags((string) $this->get($page)->getContent()), $page);
        }
    }

    public function test_whoever_has_a_course_reads_how_far_they_are(): void
    {
        $this->actingAs($this->person('ask'));
        $card = $this->cards()['steam-frames'];
        self::assertSame(['You have this: 2 of 5', true, 'Go on', '/courses/steam-frames'], [$card['state'], $card['mine'], $card['act'], $card['href']]);
        self::assertFalse($this->cards()['clinker']['mine']);
        // What is over for them is not theirs any more.
        $this->actingAs($this->person('gro'));
        self::assertSame('from 60 EUR', $this->cards()['clinker']['state']);
    }

    public function test_a_trial_is_not_what_a_course_costs(): void
    {
        Offer::query()->where('key', 'tools-only')->update(['price' => null, 'updated_at' => now()->addSecond()]);
        self::assertSame('from 240 EUR', $this->cards()['clinker']['state']);
        Offer::query()->whereIn('key', ['apprentice-pass', 'journeyman-pass'])->update(['price' => null, 'updated_at' => now()->addSecond()]);
        self::assertSame('free', $this->cards()['clinker']['state']);
    }

    public function test_what_is_kept_of_a_price_is_of_now(): void
    {
        $frames = fn (): mixed => $this->cards()['steam-frames']['state'];
        self::assertSame('180 EUR', $frames());
        Offer::query()->where('key', 'frames-pass')->update(['price' => 17550, 'updated_at' => now()->addSecond()]);
        self::assertSame('175.50 EUR', $frames());
        Offer::query()->where('key', 'frames-pass')->update(['sold_from' => '2026-03-12 08:00:00', 'updated_at' => now()->addSeconds(2)]);
        self::assertSame('to be had from Thu 12 Mar', $frames());
        // By time alone, without anything being saved.
        Carbon::setTestNow('2026-03-12T08:00:00Z');
        $this->inAnotherProcess();
        self::assertSame('175.50 EUR', $frames());
        // The last place is taken.
        Offer::query()->where('key', 'frames-pass')->update(['most' => 5, 'updated_at' => now()->addSeconds(3)]);
        self::assertEquals('175.50 EUR', $frames());
        $this->actingAs($this->person('hege'));
        $this->act('give', ['jonas'], ['offer' => 'frames-pass']);
        auth()->logout();
        $this->inAnotherProcess();
        self::assertSame('not to be had just now', $frames());
    }

    public function test_courses_that_nobody_is_to_know_of_are_not_named(): void
    {
        $page = (string) $this->get('/')->getContent();
        self::assertStringNotContainsString('Oars and spars', $page);
        self::assertStringNotContainsString('oars', $page);
        // Retired, and not to be named any more.
        self::assertStringNotContainsString('Petrol engines', $page);
        Course::query()->where('key', 'petrol')->update(['listed_over' => true]);
        $this->get('/')->assertInertia(fn (Page $page) => $page->where('over.0.title', 'Petrol engines for small boats'));
    }

    public function test_a_front_of_many_courses_asks_no_more_than_one_of_few(): void
    {
        $count = function (): int {
            $this->get('/')->assertOk();
            $this->inAnotherProcess();
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->get('/')->assertOk();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $few = $count();
        $revision = (int) $this->course('sails')->live_revision_id;
        foreach (range(1, 40) as $number) {
            $course = Course::query()->create(['key' => "more-{$number}", 'live_revision_id' => $revision, 'hidden' => false, 'about' => '', 'subject' => '']);
            DB::table('course_faces')->insert(['course_id' => $course->id, 'sentence' => 'One more.', 'outcomes' => '[]', 'questions' => '[]']);
        }
        self::assertSame($few, $count());
    }

    public function test_those_who_run_the_school_see_it_too(): void
    {
        $this->actingAs($this->person('hege'))->get('/')->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/Front')->where('courses.0.mine', false));
    }
}
