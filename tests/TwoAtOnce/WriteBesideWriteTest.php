<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Console\CleanUp;
use App\Learning\PassingNotes;
use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\BoardPost;
use App\Models\Bundle;
use App\Models\Content;
use App\Models\Draft;
use App\Models\Label;
use App\Models\Medium;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\Revision;
use App\Models\SignInLink;
use App\Models\WatchReport;
use App\Offers\EndTrials;
use Closure;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Tests\Factories\LabelFactory;
use Tests\Factories\SignInLinkFactory;
use Tests\SchoolFile;
use Tests\TestCase;

/** While another process holds the write lock, whatever is done waits for it; it used to fail where a transaction reads before it writes. */
#[Group('long')]
final class WriteBesideWriteTest extends TestCase
{
    use Buys;
    use WritesAtDoors;
    use WritesOfFiles;

    /** Seconds for which the other process holds the lock. */
    private const HELD = 1.5;

    private ?Process $other = null;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->demoSchool();
    }

    protected function tearDown(): void
    {
        $this->other?->stop(0);
        parent::tearDown();
    }

    /**
     * @param  Closure(self): mixed  $prepare  whose answer the act is given
     * @param  Closure(self, mixed): void  $act
     * @param  Closure(self): bool  $isDone
     */
    #[DataProvider('acts')]
    public function test_it_waits_and_succeeds(Closure $prepare, Closure $act, Closure $isDone): void
    {
        $prepared = $prepare($this);
        self::assertFalse($isDone($this), 'It is done before it was begun.');
        DB::disconnect();
        $this->app->forgetScopedInstances();
        $this->holdTheLock(self::HELD);
        $act($this, $prepared);
        $ended = microtime(true);

        self::assertTrue($isDone($this));
        self::assertGreaterThanOrEqual($this->released(), $ended, 'It did not have to wait: this shows nothing.');
    }

    /** @return array<string, array{Closure, Closure, Closure}> */
    public static function acts(): array
    {
        $nothing = static fn (): null => null;
        $as = static fn (string $who): Closure => static fn (self $test): self => $test->actingAs($test->person($who));
        $admin = $as('hege');
        $post = static fn (string $address, array $form): Closure => static fn (self $test) => $test->post($address, $form)->assertRedirect()->assertSessionHasNoErrors();
        $edit = ['version' => 0, 'set' => 'sample', 'items' => ['l-timber'], 'value' => 'yes'];
        $drafted = static function (self $test) use ($edit): void {
            $test->actingAs($test->person('hege'))->post('/keep/courses/clinker/draft/edits', $edit)->assertSessionHasNoErrors();
        };
        $published = static function (self $test) use ($drafted): void {
            $drafted($test);
            $test->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        };
        $draft = static fn (self $test): ?Draft => Draft::query()->where('course_id', $test->course()->id)->first();
        $pass = static fn (self $test, string $who): Pass => Pass::query()->where('person_id', $test->person($who)->id)->latest('id')->firstOrFail();

        return [
            'finish a lesson' => [$as('eira'), $post('/courses/clinker/l-planes/finished', []), static fn (self $test): bool => DB::table('completions')->where('person_id', $test->person('eira')->id)->where('item_key', 'l-planes')->exists()],
            'report watching' => [
                static function (self $test): void {
                    $test->actingAs($test->person('ragna'))->get('/courses/clinker/l-steam')->assertOk();
                    Carbon::setTestNow(Carbon::now()->addMinute());
                },
                static fn (self $test) => $test->postJson('/courses/clinker/l-steam/statements', [
                    'id' => (string) Str::uuid(), 'actor' => ['account' => ['homePage' => 'https://alder.test', 'name' => 'x']], 'verb' => ['id' => 'https://w3id.org/xapi/video/verbs/paused'],
                    'object' => ['id' => 'https://alder.test/x'], 'result' => ['extensions' => ['https://w3id.org/xapi/video/extensions/played-segments' => '0[.]5']],
                ])->assertOk(),
                static fn (): bool => WatchReport::query()->exists(),
            ],
            'open a lesson whose video is to be watched' => [$as('ragna'), static fn (self $test) => $test->get('/courses/clinker/l-steam')->assertOk(), static fn (): bool => DB::table('watches')->exists()],
            'answer a quiz' => [
                static fn (self $test) => $test->actingAs($test->person('eira'))->post('/courses/clinker/l-planes/finished'),
                $post('/courses/clinker/l-timber/quiz', ['version' => 1, 'answers' => [[1], [0], [2]]]),
                static fn (): bool => DB::table('quiz_tries')->exists(),
            ],
            'say something on a board' => [$as('oda'), $post('/courses/steam-frames/b-bench/posts', ['text' => 'Mine split.', 'once' => 'one']), static fn (): bool => BoardPost::query()->where('text', 'Mine split.')->exists()],
            'change the link to a calendar' => [$as('embla'), $post('/calendar-link', []), static fn (self $test): bool => $test->person('embla')->calendar_token !== null],
            'buy' => [$as('jonas'), $post('/checkout/tools-only', ['item' => '']), static fn (self $test): bool => Pass::query()->where('person_id', $test->person('jonas')->id)->exists()],
            'buy as a stranger' => [$nothing, $post('/checkout/tools-only', ['name' => 'Alva', 'email' => 'alva@elsewhere.test', 'item' => '']), static fn (): bool => Person::query()->where('claimed_email', 'alva@elsewhere.test')->exists()],
            'buy a bundle' => [static fn (self $test) => $test->bundleOf('jonas', 'tools-only', 'frames-pass'), $post('/checkout/bundles/both', ['item' => '']), static fn (self $test): bool => Pass::query()->where('person_id', $test->person('jonas')->id)->count() === 2],
            'hear of a refund' => [static fn (self $test): int => $test->boughtBy('jonas'), static fn (self $test, mixed $purchase) => $test->post('/keep/outbox/shop/'.(is_int($purchase) ? $purchase : 0), ['event' => 'r1', 'kind' => 'refund'])->assertSessionHas('flash.kind', 'done'), static fn (self $test): bool => $pass($test, 'jonas')->state === 'revoked'],
            'make a bundle' => [$admin, $post('/keep/bundles', ['name' => 'Both', 'sale' => 'price', 'price' => 100, 'currency' => 'EUR', 'offers' => ['tools-only', 'frames-pass']]), static fn (): bool => Bundle::query()->exists()],
            'ask for a link to sign in' => [$nothing, $post('/sign-in/link', ['email' => 'eira@alder.test']), static fn (): bool => SignInLink::query()->exists()],
            'edit a draft' => [$admin, $post('/keep/courses/clinker/draft/edits', $edit), static fn (self $test): bool => $draft($test) !== null],
            'edit the outline' => [$admin, $post('/keep/courses/clinker/draft/outline', ['version' => 0, 'do' => 'rename', 'item' => 'l-timber', 'title' => 'Larch']), static fn (self $test): bool => str_contains((string) $draft($test)?->document, '"Larch"')],
            'undo an edit' => [$drafted, $post('/keep/courses/clinker/draft/undo', ['version' => 1]), static fn (self $test): bool => $draft($test)?->version === 2],
            'redo an edit' => [
                static function (self $test) use ($drafted): void {
                    $drafted($test);
                    $test->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
                },
                $post('/keep/courses/clinker/draft/redo', ['version' => 2]), static fn (self $test): bool => $draft($test)?->version === 3,
            ],
            'throw a draft away' => [$drafted, static fn (self $test) => $test->delete('/keep/courses/clinker/draft', ['version' => 1])->assertRedirect(), static fn (self $test): bool => Activity::query()->where('action', 'draft.discarded')->exists()],
            'publish' => [$drafted, $post('/keep/courses/clinker/revisions', ['version' => 1]), static fn (self $test): bool => $test->course()->liveRevision?->number === 2],
            'set a time to publish at' => [$drafted, static fn (self $test) => $test->put('/keep/courses/clinker/publication', ['version' => 1, 'at' => '2026-04-01T09:00'])->assertRedirect(), static fn (self $test): bool => $draft($test)?->publish_at !== null],
            'publish at a set time' => [
                static function (self $test) use ($drafted): void {
                    $drafted($test);
                    $test->put('/keep/courses/clinker/publication', ['version' => 1, 'at' => '2026-03-11T09:00'])->assertRedirect();
                    Carbon::setTestNow('2026-03-11T09:00:00Z');
                },
                static fn () => self::assertSame(0, Artisan::call('keep:publish-due')), static fn (self $test): bool => $test->course()->liveRevision?->number === 2,
            ],
            'take a publication back' => [
                static function (self $test) use ($published): mixed {
                    $published($test);
                    $test->app->forgetScopedInstances();

                    return $test->get('/keep/courses/clinker/rehearsal?back=1')->inertiaProps('receipt');
                },
                static fn (self $test, mixed $receipt) => $test->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1, 'receipt' => $receipt])->assertSessionHas('flash.kind', 'done'),
                static fn (self $test): bool => $test->course()->liveRevision?->number === 3,
            ],
            'do something to a person' => [$admin, static fn (self $test) => $test->post('/keep/people/acts', ['do' => 'pause', 'people' => [$test->person('eira')->id], 'offer' => 'apprentice-pass'])->assertSessionHas('flash.kind', 'done'), static fn (self $test): bool => $pass($test, 'eira')->state === 'paused'],
            'do something to many people' => [
                static function (self $test): void {
                    foreach (array_chunk(range(1, 150), 50) as $some) {
                        Person::query()->insert(array_map(static fn (int $n): array => ['name' => "P {$n}", 'email' => "p{$n}@crew.test"], $some));
                    }
                    $test->actingAs($test->person('hege'));
                },
                static fn (self $test) => $test->post('/keep/people/acts', ['do' => 'label', 'filter' => ['find' => '@crew.test'], 'label' => 'crew'])->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => Label::query()->where('label', 'crew')->count() === 150,
            ],
            'take something done to people back' => [
                static function (self $test): int {
                    $test->actingAs($test->person('hege'))->post('/keep/people/acts', ['do' => 'label', 'people' => [$test->person('eira')->id], 'label' => 'keen']);

                    return ActRecord::query()->sole()->id;
                },
                static fn (self $test, mixed $act) => $test->post('/keep/people/acts/'.(is_int($act) ? $act : 0).'/undo')->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => Activity::query()->where('action', 'act.undone')->exists(),
            ],
            'bring one person in' => [$admin, $post('/keep/people', ['name' => 'Alva', 'email' => 'alva@alder.test', 'labels' => 'keen', 'offer' => 'yard-trial']), static fn (): bool => Person::query()->where('email', 'alva@alder.test')->exists()],
            ...self::ofFiles(),
            'change an offer' => [$admin, static fn (self $test) => $test->put('/keep/offers/'.Offer::query()->where('key', 'taster')->sole()->id, ['name' => 'Tasting', 'sale' => 'price', 'price' => 5, 'currency' => 'EUR', 'labels' => '', 'trial' => false, 'erases' => false])->assertSessionHasNoErrors(), static fn (): bool => Offer::query()->where('name', 'Tasting')->exists()],
            'change the school' => [$admin, static fn (self $test) => $test->put('/keep/school', ['name' => 'Alder, Tide & Co', 'currency' => 'EUR', 'guests' => true, 'contactName' => '', 'contactEmail' => '', 'warnDays' => 3, 'graceDays' => 7])->assertSessionHasNoErrors(), static fn (): bool => DB::table('schools')->where('name', 'Alder, Tide & Co')->exists()],
            ...self::atDoors($admin, $post, $draft),
            'write a lesson' => [$admin, static fn (self $test) => $test->put('/keep/courses/clinker/contents/l-planes', ['version' => 1, 'text' => 'New words.', 'quiz' => []])->assertSessionHasNoErrors(), static fn (): bool => Content::query()->where('text', 'New words.')->exists()],
            'put a file into a lesson' => [$admin, static fn (self $test) => $test->post('/keep/courses/clinker/contents/l-planes/media', ['file' => UploadedFile::fake()->createWithContent('list.txt', 'Plane, mallet.'), 'title' => 'A list'])->assertSessionHasNoErrors(), static fn (): bool => Medium::query()->where('title', 'A list')->exists()],
            'make a course' => [$admin, $post('/keep/courses', ['title' => 'Caulking']), static fn (): bool => DB::table('courses')->where('key', 'caulking')->exists()],
            'change the guest link' => [$admin, $post('/keep/courses/steam-frames/guest-link', []), static fn (self $test): bool => $test->course('steam-frames')->guest_token !== null],
            'keep columns under a name' => [$admin, $post('/keep/courses/clinker/vantages', ['name' => 'Mine', 'vantages' => ['visitor']]), static fn (): bool => DB::table('vantage_sets')->exists()],
            'expect something' => [$admin, $post('/keep/courses/clinker/expectations', ['vantage' => 'visitor', 'item' => 'l-planes', 'must' => 'never']), static fn (): bool => DB::table('expectations')->exists()],
            'keep a list under a name' => [$admin, $post('/keep/people/segments', ['name' => 'Trials', 'filter' => ['standing' => 'trial']]), static fn (): bool => DB::table('segments')->exists()],
            'end trials' => [
                static function (self $test): void {
                    Offer::query()->where('key', 'yard-trial')->update(['erases' => true]);
                },
                static fn () => app(EndTrials::class)(), static fn (): bool => Activity::query()->where('action', 'trial.warned')->exists(),
            ],
            'clean up' => [
                static fn (self $test) => SignInLinkFactory::new()->of($test->person('eira'))->createOne(['token_hash' => 'x', 'expires_at' => '2020-01-01 00:00:00']),
                static fn () => app(CleanUp::class)(), static fn (): bool => ! SignInLink::query()->exists(),
            ],
        ];
    }

    public function test_what_is_noted_while_a_page_is_read_neither_fails_nor_delays_it(): void
    {
        $eira = $this->person('eira');
        DB::table('people')->update(['seen_at' => null]);
        DB::disconnect();
        $this->holdTheLock(30);
        $this->actingAs($eira)->get('/courses/clinker/l-welcome')->assertOk();
        self::assertTrue($this->other?->isRunning(), 'The page waited for the lock.');
        $this->other->stop(0);

        // What could not be noted then is noted by the schedule, once, however often it runs.
        self::assertSame([null, 0], [$eira->refresh()->seen_at, DB::table('looks')->where('item_key', 'l-welcome')->where('person_id', $eira->id)->count()]);
        Artisan::call('keep:write-notes');
        Artisan::call('keep:write-notes');
        self::assertSame([Carbon::now()->getTimestamp(), 1], [$eira->refresh()->seen_at?->getTimestamp(), DB::table('looks')->where('item_key', 'l-welcome')->where('person_id', $eira->id)->count()]);
    }

    /** Longer than anybody waits: a clear answer, and nothing half done. */
    public function test_who_waits_too_long_is_told_so(): void
    {
        config(['database.connections.'.DB::getDefaultConnection().'.busy_timeout' => 200]);
        DB::purge();
        $eira = $this->person('eira');
        $this->holdTheLock(30);
        $this->actingAs($eira)->post('/courses/clinker/l-planes/finished')->assertStatus(503)->assertHeader('Retry-After', '5')->assertInertia(fn (Page $page) => $page->component('Error')->where('why', 'busy'));
        self::assertFalse(DB::table('completions')->where('person_id', $eira->id)->where('item_key', 'l-planes')->exists());
    }

    public function test_transactions_inside_one_another_are_undone_one_by_one(): void
    {
        DB::transaction(function (): void {
            LabelFactory::new()->of($this->person('eira'))->createOne(['label' => 'outer']);
            try {
                DB::transaction(function (): void {
                    LabelFactory::new()->of($this->person('eira'))->createOne(['label' => 'inner']);
                    throw new \DomainException('No.');
                });
            } catch (\DomainException) {
                // The outer one goes on.
            }
        });
        self::assertSame(['outer'], Label::query()->whereIn('label', ['inner', 'outer'])->pluck('label')->all());
        self::assertSame(1, Revision::query()->where('course_id', $this->course()->id)->count());
    }

    /** One of two who found no folder for what is laid aside was told that there is none by the time that it was there. */
    public function test_two_who_lay_the_first_note_aside_at_once_do_not_trip_over_each_other(): void
    {
        $eira = $this->person('eira');
        $late = new class extends Filesystem
        {
            public function isDirectory($directory): bool
            {
                return false;
            }
        };
        $this->app->instance(Filesystem::class, $late);
        $this->app->instance('files', $late);
        DB::disconnect();
        $this->holdTheLock(self::HELD);
        app(PassingNotes::class)->seen($eira->id, Carbon::now()->getTimestamp());
        app(PassingNotes::class)->seen($eira->id, Carbon::now()->getTimestamp());
        $this->released();
        $this->app->instance(Filesystem::class, new Filesystem);
        self::assertSame(2, $this->app->make(PassingNotes::class)->writeDown());
    }

    /** When the other process let go. */
    private function released(): float
    {
        $this->other?->wait();

        return (float) preg_replace('/^.*released /s', '', (string) $this->other?->getOutput());
    }

    private function holdTheLock(float $seconds): void
    {
        $this->other = new Process([(string) (new PhpExecutableFinder)->find(), dirname(__DIR__).'/hold-lock.php', SchoolFile::dsn(), (string) $seconds]);
        $this->other->start();
        $this->other->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'held'));
    }
}
