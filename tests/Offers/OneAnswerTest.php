<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\TestCase;

/** The same question asked in every place gives one answer: may they take it, what does it open, and when. */
#[Group('long')]
final class OneAnswerTest extends TestCase
{
    private const ADDED = [
        ['name' => 'Oar bonus', 'sale' => 'price', 'price' => 25, 'currency' => 'EUR', 'trial' => false, 'erases' => false, 'tier' => 'apprentice', 'labels' => 'oar-bonus', 'lasts' => 'good'],
        ['name' => 'A week', 'sale' => 'free', 'currency' => 'EUR', 'trial' => true, 'erases' => false, 'tier' => 'journeyman', 'scope' => ['m-tools'], 'lasts' => 'days', 'days' => 7],
    ];

    /** @var list<array<array-key, mixed>> what the rehearsal of the new offers said of kinds of people */
    private array $rehearsed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        // Offers of all kinds: sold, free, not sold, paid for again, for some only, for so many, gone, of a retired course, by dates.
        $set = static fn (string $offer, array $columns) => Offer::query()->where('key', $offer)->sole()->update($columns);
        $set('frames-pass', ['most' => 5]);
        $set('refit-crew', ['every' => 'month']);
        $set('engine-pass', ['price' => 9000]);
        $set('tools-only', ['sold_until' => '2026-03-10 12:30:00']);
        $set('apprentice-pass', ['again' => 'renewal']);
        // And two that are new: one that gives a label, and a trial.
        foreach (self::ADDED as $version => $added) {
            $this->as('hege')->post('/keep/courses/clinker/draft/offers', ['version' => $version, ...$added])->assertSessionHasNoErrors();
        }
        $this->rehearsed = self::listed($this->get('/keep/courses/clinker/rehearsal')->inertiaProps('kinds'));
        $this->post('/keep/courses/clinker/revisions', ['version' => 2])->assertSessionHas('flash.kind', 'done');
    }

    private function as(?string $who): static
    {
        $this->app['auth']->forgetGuards();

        return $who === null ? $this : $this->actingAs($this->person($who));
    }

    /** @return array<array-key, array<array-key, mixed>> cards by key */
    private static function cards(mixed $offers): array
    {
        $cards = [];
        foreach (is_array($offers) ? $offers : [] as $card) {
            if (is_array($card) && is_string($card['key'])) {
                $cards[$card['key']] = $card;
            }
        }

        return $cards;
    }

    #[DataProvider('people')]
    public function test_what_may_be_taken_is_the_same_in_every_place(?string $who): void
    {
        // Of a course that is a draft nobody is told anything.
        foreach (Offer::query()->with('course.liveRevision')->whereRelation('course', 'key', '!=', 'rigging')->orderBy('id')->get() as $offer) {
            $checkout = $this->as($who)->get("/checkout/{$offer->key}")->assertOk();
            $refusal = $checkout->inertiaProps('refusal');
            $where = "{$offer->key} to ".($who ?? 'a visitor');

            // The page of the course: no card without a checkout, and of whoever is outside a card for each.
            $page = $this->get("/courses/{$offer->course->key}");
            $outside = array_column($page->inertiaProps('columns') ?? [], 'offer');
            $card = self::cards([...$outside, ...$page->inertiaProps('offers') ?? []])[$offer->key] ?? null;
            if ($refusal !== null) {
                self::assertNull($card, $where);
            } elseif ($page->inertiaProps('course.pass') === null) {
                self::assertNotNull($card, $where);
                self::assertSame($checkout->inertiaProps('price'), $offer->price === 0 ? 'free' : $card['price'], $where);
            }
            foreach ($this->closedLessons($offer->course, $who) as $item) {
                $notice = self::cards($this->as($who)->get("/courses/{$offer->course->key}/{$item}")->inertiaProps('offers'));
                $offered = isset($notice[$offer->key]);
                if ($refusal !== null) {
                    self::assertFalse($offered, "{$where}, {$item}");
                }
                self::assertSame($offered, in_array($offer->name, $this->waysTold($offer->course, $item, $who), true), "why, {$where}, {$item}");
            }

            // Whoever tries gets it, or is told the same.
            $passes = Pass::query()->count();
            $answer = $this->as($who)->post("/checkout/{$offer->key}", $who === null ? ['name' => 'Alva', 'email' => "alva@{$offer->key}.test"] : []);
            $refusal === null ? $answer->assertSessionHas('flash.kind', 'done') : $answer->assertSessionHas('flash.text', $refusal);
            self::assertSame($passes + ($refusal === null ? 1 : 0), Pass::query()->count(), $where);
            if ($refusal === null) {
                $bought = Pass::query()->latest('id')->firstOrFail();
                Pass::query()->where('person_id', $bought->person_id)->where('ends_at', Carbon::now())->update(['ends_at' => null]);
                $bought->delete();
            }
        }
    }

    /** What a card promises is what its buyer finds, on that instant and not before; Sightlines and the forecast say so too. */
    #[DataProvider('people')]
    public function test_what_a_card_promises_comes_true(?string $who): void
    {
        $checked = 0;
        foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->get() as $course) {
            foreach ($this->closedLessons($course, $who) as $item) {
                foreach (self::cards($this->as($who)->get("/courses/{$course->key}/{$item}")->inertiaProps('offers')) as $key => $card) {
                    $decider = app(Plans::class)->live($course) ?? self::fail('not published');
                    $position = $decider->course->outline->positionOf($item) ?? self::fail($item);
                    $detail = is_string($card['detail']) ? $card['detail'] : '';
                    $atOnce = str_starts_with($detail, 'Opens it at once, to') || str_starts_with($detail, 'Opens it at once, for');
                    $this->as($who)->post("/checkout/{$key}", $who === null ? ['name' => 'Alva', 'email' => "alva@{$item}.{$key}.test"] : []);
                    $pass = Pass::query()->latest('id')->firstOrFail();
                    $buyer = Person::query()->findOrFail($pass->person_id);
                    $open = $decider->snapshot(app(Viewers::class)->of($buyer, $course), Carbon::now()->getTimestamp())->standings[$position]->isOpen();
                    self::assertSame($atOnce, $open, "{$key} and {$item}: {$detail}");
                    self::assertStringEndsWith($pass->ends_at === null ? 'for good' : 'to '.app(SchoolClock::class)->date($pass->ends_at->getTimestamp()), $detail, "{$key} and {$item}");
                    Pass::query()->where('person_id', $pass->person_id)->where('ends_at', Carbon::now())->update(['ends_at' => null]);
                    $pass->delete();
                    $checked++;
                }
            }
        }
        self::assertGreaterThan($who === 'tuva' ? -1 : 0, $checked);
    }

    /** Samples aside, which nobody buys: what the table counts is what the most diligent buyer reaches, and the card counts no more of it than may be known. */
    public function test_how_much_an_offer_opens_is_the_same_on_its_card_in_the_table_and_in_the_forecast(): void
    {
        $courses = $this->as('hege')->get('/keep/offers')->inertiaProps('courses');
        $now = Carbon::now()->getTimestamp();
        $compared = 0;
        foreach (is_array($courses) ? $courses : [] as $told) {
            assert(is_array($told) && is_string($told['key']) && is_array($told['offers']));
            $decider = app(Plans::class)->live(Course::query()->where('key', $told['key'])->sole());
            if ($decider === null || $decider->course->state !== CourseState::Live) {
                continue;
            }
            $cards = self::cards($this->as(null)->get("/courses/{$told['key']}")->inertiaProps('offers'));
            foreach ($told['offers'] as $row) {
                assert(is_array($row) && is_string($row['key']) && is_array($row['opens']));
                $offer = $decider->prepared->plan->offer($row['key']) ?? self::fail($row['key']);
                $pass = NewPass::of($offer, $now, [], $decider->prepared, $decider->prepared->plan->zone);
                $reach = (new Reaching($decider))->reach(new Viewer(signedIn: true, passes: [$pass]), $now, $pass->until);
                $outside = (new Reaching($decider))->reach(new Viewer(signedIn: true), $now, $pass->until);
                $outline = $decider->course->outline;
                // Of a sample the forecast cannot tell by which way it is open.
                $byPass = (new DatesForPass($decider->prepared))->reached($offer, $pass, []);
                $opened = array_filter(array_keys($outline->items), static fn (int $at): bool => $outline->isPublishedLesson($at) && $reach->open[$at] !== null && ($outside->open[$at] === null || $byPass[$at]));
                self::assertSame(count($opened), array_sum(array_column($row['opens'], 'open')), $row['key']);
                if (isset($cards[$row['key']])) {
                    // The bonus that it opens is hidden from a visitor, and so not counted.
                    self::assertStringStartsWith((count($opened) - ($row['key'] === 'oar-bonus' ? 1 : 0)).' of ', is_string($cards[$row['key']]['detail']) ? $cards[$row['key']]['detail'] : '', $row['key']);
                }
                $compared++;
            }
        }
        self::assertSame(9, $compared);
    }

    /** Who takes a new offer gains, says the rehearsal before it is published, what its holder then finds open. */
    public function test_the_rehearsal_of_a_new_offer_told_what_its_holder_finds(): void
    {
        $decider = app(Plans::class)->live(Course::query()->where('key', 'clinker')->sole()) ?? self::fail('not published');
        $now = Carbon::now()->getTimestamp();
        $outline = $decider->course->outline;
        foreach (['oar-bonus' => 'Oar bonus', 'a-week' => 'A week'] as $key => $name) {
            $told = (string) json_encode(array_column($this->rehearsed, 'lines', 'who')["Whoever takes {$name} then"] ?? self::fail($name));
            $offer = $decider->prepared->plan->offer($key) ?? self::fail($key);
            $standings = $decider->snapshot(new Viewer(signedIn: true, passes: [NewPass::of($offer, $now, [], $decider->prepared, $decider->prepared->plan->zone)]), $now)->standings;
            $outside = $decider->snapshot(new Viewer(signedIn: true), $now)->standings;
            $gained = array_filter(array_keys($outline->items), static fn (int $at): bool => $standings[$at]->isOpen() && ! $outside[$at]->isOpen());
            self::assertNotSame([], $gained);
            $more = preg_match('/and (\\d+) more/', $told, $found) === 1 ? (int) $found[1] : 0;
            $named = count(array_filter($gained, static fn (int $at): bool => str_contains($told, (string) json_encode($outline->items[$at]->title))));
            self::assertSame(count($gained), $named + $more, "{$name}: {$told}");
        }
    }

    /** @return list<array<array-key, mixed>> */
    private static function listed(mixed $rows): array
    {
        return array_values(array_filter(is_array($rows) ? $rows : [], is_array(...)));
    }

    /** @return \Generator<string, array{?string}> */
    public static function people(): \Generator
    {
        yield 'a visitor' => [null];
        yield 'somebody known' => ['jonas'];
        yield 'an apprentice' => ['eira'];
        yield 'a journeyman' => ['tuva'];
        yield 'whose trial is over' => ['nina'];
        yield 'whose pass is over' => ['gro'];
        yield 'whose pass is paused' => ['liv'];
        yield 'whose pass was withdrawn' => ['kaia'];
        yield 'a learner of another course' => ['oda'];
    }

    /** @return list<string> lessons that are closed to them and not hidden; some of each course are enough */
    private function closedLessons(Course $course, ?string $who): array
    {
        $path = $this->as($who)->get("/courses/{$course->key}")->inertiaProps('course.path');
        $closed = array_filter(is_array($path) ? $path : [], static fn (mixed $row): bool => is_array($row) && $row['kind'] === 'lesson' && $row['open'] === false);

        return array_slice(array_map(strval(...), array_column($closed, 'key')), 0, 3);
    }

    /** @return list<string> names of the offers that the reasons in Sightlines say would open it, taken by them */
    private function waysTold(Course $course, string $item, ?string $who): array
    {
        $point = $who === null ? 'visitor' : 'person:'.$this->person($who)->id;
        $ways = $this->as('hege')->getJson("/keep/courses/{$course->key}/why?item={$item}&v[]={$point}&see=published")->assertOk()->json('ways');
        $told = [];
        foreach (is_array($ways) ? $ways : [] as $way) {
            if (is_array($way) && $way['by'] === 'offer') {
                $told[] = implode('', array_column($way['title']['segments'], 'text'));
            }
        }

        return $told;
    }
}
