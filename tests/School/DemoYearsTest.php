<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\Content;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Message;
use App\Models\Pass;
use App\Models\Picture;
use App\Models\Revision;
use App\Publishing\PublishDue;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** The demo is a school in its third year: as it is loaded on any day, what is told of in the guide is there. */
#[Group('long')]
final class DemoYearsTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function days(): array
    {
        return ['in winter' => ['2026-11-28T12:48:00Z'], 'as clocks go forward' => ['2026-03-29T00:59:30Z'], 'as they go back' => ['2026-10-25T00:30:00Z'], 'on a leap day' => ['2028-02-29T23:30:00Z'], 'at midnight' => ['2026-06-30T22:00:00Z']];
    }

    private function load(string $now): void
    {
        Storage::fake('local');
        $this->travelTo($now);
        self::assertSame(0, Artisan::call('keep:demo'));
    }

    #[DataProvider('days')]
    public function test_it_has_a_past_with_several_authors_and_things_under_way(string $now): void
    {
        $this->load($now);
        $this->actingAs($this->person('hege'));
        $this->get('/keep/courses/clinker/revisions')->assertOk()->assertInertia(fn (Page $page) => $page->has('revisions', 6)
            ->where('revisions', fn ($rows): bool => count(array_unique(array_filter(array_column($rows->toArray(), 'author')))) === 2 && array_filter($rows->slice(0, 5)->all(), static fn (array $row): bool => $row['changes'] === []) === []));
        $times = Revision::query()->where('course_id', $this->course()->id)->orderBy('number')->get()->map(static fn (Revision $revision): int => $revision->published_at->getTimestamp())->all();
        $sorted = $times;
        sort($sorted);
        self::assertSame($sorted, $times);
        $changes = array_column((array) $this->get('/keep/courses')->inertiaProps('courses'), 'changes', 'key');
        self::assertSame(['clinker' => 0, 'steam-frames' => 2, 'winter-refit' => 1], array_intersect_key($changes, ['clinker' => 0, 'steam-frames' => 0, 'winter-refit' => 0]));
        self::assertSame([2, 2], [Picture::query()->count(), Content::query()->where('item_key', 'l-planes')->value('version')]);
    }

    #[DataProvider('days')]
    public function test_what_was_set_goes_live_at_its_time(string $now): void
    {
        $this->load($now);
        $due = Draft::query()->whereNotNull('publish_at')->sole()->publish_at ?? self::fail('It is set.');
        $this->travelTo($due);
        self::assertSame([['course' => 'winter-refit', 'revision' => 2, 'refused' => null]], app(PublishDue::class)());
    }

    #[DataProvider('days')]
    public function test_a_trial_ends_tomorrow_and_somebody_was_here_yesterday(string $now): void
    {
        $this->load($now);
        $from = now()->setTimezone('Europe/Oslo')->modify('tomorrow');
        self::assertTrue(Pass::query()->whereHas('offer', fn ($offers) => $offers->where('key', 'yard-trial'))->whereBetween('ends_at', [$from->copy()->utc()->format('Y-m-d H:i:s'), $from->copy()->modify('+1 day')->utc()->format('Y-m-d H:i:s')])->exists());
        $this->actingAs($this->person('hege'))->get('/keep/people')->assertOk();
        $this->actingAs($this->person('ragna'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('last.key', 'l-steam'));
    }

    #[DataProvider('days')]
    public function test_letters_were_written(string $now): void
    {
        $this->load($now);
        self::assertGreaterThanOrEqual(3, Message::query()->count());
        self::assertGreaterThanOrEqual(2, Message::query()->distinct()->count('subject'));
        self::assertLessThan(30, Message::query()->count());
    }

    public function test_loaded_a_second_time_nothing_is_added(): void
    {
        $this->load('2026-11-28T12:48:00Z');
        Artisan::call('keep:demo');
        self::assertSame(1, Course::query()->where('key', 'clinker')->count());
        self::assertSame(6, Revision::query()->where('course_id', $this->course()->id)->count());
    }
}
