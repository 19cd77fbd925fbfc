<?php

declare(strict_types=1);

namespace Tests\School;

use App\Database\Dialects;
use App\Models\Medium;
use App\Models\Message;
use App\Models\Person;
use App\Models\School;
use App\Models\SignInLink;
use App\School\Backup\BackUp;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\ImportFactory;
use Tests\Factories\MessageFactory;
use Tests\Factories\SignInLinkFactory;
use Tests\SchoolFile;
use Tests\TestCase;

/** What whoever runs the machine needs. */
final class OperatingTest extends TestCase
{
    private string $backup;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->backup = SchoolFile::folder().'/'.bin2hex(random_bytes(6)).'.zip';
    }

    protected function tearDown(): void
    {
        foreach ([...(glob(SchoolFile::folder().'/*.zip') ?: []), ...self::kept()] as $file) {
            unlink($file);
        }
        parent::tearDown();
    }

    public function test_health_fails_when_the_schedule_is_late_migrations_are_behind_or_the_database_is_gone(): void
    {
        $this->get('/up')->assertStatus(500);
        Artisan::call('keep:beat');
        $this->get('/up')->assertOk();
        Storage::put('schedule-ran', (string) (time() - 181));
        $this->get('/up')->assertStatus(500);
        Artisan::call('keep:beat');
        $last = DB::table('migrations')->orderByDesc('id')->first();
        DB::table('migrations')->where('id', $last?->id)->delete();
        $this->get('/up')->assertStatus(500);
        DB::table('migrations')->insert((array) $last);
        $this->get('/up')->assertOk();
        DB::purge();
        config(['database.connections.'.DB::getDefaultConnection().'.database' => SchoolFile::folder().'/gone.sqlite']);
        $this->get('/up')->assertStatus(500);
    }

    public function test_the_schedule_notes_that_it_runs_and_cleans_up(): void
    {
        $runs = array_map(static fn ($event): string => $event->description.' '.$event->expression, app(Schedule::class)->events());
        foreach (['keep:beat * * * * *', 'keep:write-notes * * * * *', 'keep:clean-up 0 * * * *', 'keep:look-ahead 0 * * * *'] as $run) {
            self::assertContains($run, $runs);
        }
    }

    public function test_of_several_servers_one_does_what_the_schedule_says_each_time(): void
    {
        foreach (app(Schedule::class)->events() as $event) {
            $own = str_contains((string) $event->command, 'queue:work');
            self::assertSame(! $own, $event->onOneServer, (string) $event->description);
            self::assertTrue($event->withoutOverlapping || $event->description === 'keep:beat', (string) $event->description);
        }
    }

    public function test_a_backup_is_restored_with_all_that_was_in_it(): void
    {
        $before = $this->everything();
        $medium = Medium::query()->firstOrFail()->path;
        $content = Storage::get($medium);
        self::assertSame(0, Artisan::call('keep:backup', ['file' => $this->backup]));
        self::assertSame('0600', substr(sprintf('%o', fileperms($this->backup)), -4));

        DB::table('people')->where('email', 'eira@alder.test')->update(['name' => 'Somebody else']);
        Storage::delete($medium);
        self::assertSame(1, Artisan::call('keep:restore', ['file' => $this->backup]));
        self::assertStringContainsString('Say --replace', Artisan::output());
        self::assertSame('Somebody else', $this->person('eira')->name);

        self::assertSame(0, Artisan::call('keep:restore', ['file' => $this->backup, '--replace' => true]));
        self::assertSame($before, $this->everything());
        self::assertSame($content, Storage::get($medium));
        // What was there is kept.
        self::assertCount(1, self::kept());
    }

    /** A backup from before somebody was erased brought them back. */
    public function test_who_was_erased_since_is_erased_again_and_nobody_else(): void
    {
        self::assertSame(0, Artisan::call('keep:backup', ['file' => $this->backup]));
        $kaia = $this->person('kaia');
        self::assertSame(0, Artisan::call('keep:erase', ['person' => (string) $kaia->id, '--yes' => true]));
        // Of another school's backup somebody else has that number.
        $birk = $this->person('birk');
        self::assertSame(0, Artisan::call('keep:erase', ['person' => (string) $birk->id, '--yes' => true]));
        DB::table('people')->where('id', $birk->id)->update(['created_at' => '2020-01-01 00:00:00']);

        self::assertSame(0, Artisan::call('keep:restore', ['file' => $this->backup, '--replace' => true]));

        self::assertSame("Erased person {$kaia->id}", DB::table('people')->where('id', $kaia->id)->value('name'));
        self::assertSame(0, DB::table('people')->where('email', 'kaia@alder.test')->count());
        self::assertSame('birk@alder.test', DB::table('people')->where('id', $birk->id)->value('email'));
    }

    /** Films came back without it. */
    public function test_a_backup_holds_what_stands_in_the_place_of_a_film_before_it_plays(): void
    {
        Storage::put('media/poster', 'a poster');
        Medium::query()->where('kind', 'video')->firstOrFail()->update(['poster' => 'media/poster', 'poster_type' => 'image/png']);
        self::assertSame(0, Artisan::call('keep:backup', ['file' => $this->backup]));
        Storage::delete('media/poster');
        self::assertSame(0, Artisan::call('keep:restore', ['file' => $this->backup, '--replace' => true]));
        self::assertSame('a poster', Storage::get('media/poster'));
    }

    /** The page that said so asked the database itself, and so there was none. */
    public function test_there_is_a_page_though_the_database_is_gone(): void
    {
        $this->actingAs($this->person('eira'));
        config(['app.debug' => false]);
        $gone = false;
        // In the middle of a page that has told already whom it is for.
        DB::listen(static function (QueryExecuted $query) use (&$gone): void {
            if (! $gone && str_contains($query->sql, '"passes"')) {
                $gone = true;
                config(['database.connections.'.DB::getDefaultConnection().'.database' => SchoolFile::folder().'/gone.sqlite']);
                DB::purge();
            }
        });
        $this->get('/courses')->assertStatus(503)->assertHeader('Retry-After', '5')->assertSee('Please go back and try again in a moment');
    }

    /** Where such jobs are noted had no name, so that a worker ended when it noted the first. */
    public function test_jobs_that_fail_for_good_are_noted(): void
    {
        app('queue.failer')->log('database', 'default', '{"uuid":"6b1f0a52-7c1d-4c0e-9a57-0d6f1f2f9b11"}', new \RuntimeException('No.'));
        self::assertSame(1, DB::table('failed_jobs')->count());
    }

    public function test_a_backup_replaces_no_file(): void
    {
        file_put_contents($this->backup, 'mine');
        self::assertSame(1, Artisan::call('keep:backup', ['file' => $this->backup]));
        self::assertSame('mine', file_get_contents($this->backup));
        self::assertSame(1, Artisan::call('keep:backup', ['file' => '/nowhere/at/all.zip']));
        self::assertSame([], glob(SchoolFile::folder().'/*.part*') ?: []);
    }

    /** @param  \Closure(string): mixed  $spoil */
    #[DataProvider('spoilt')]
    public function test_what_is_no_whole_backup_changes_nothing(\Closure $spoil): void
    {
        app(BackUp::class)($this->backup);
        $before = $this->everything();
        $spoil($this->backup);
        self::assertSame(1, Artisan::call('keep:restore', ['file' => $this->backup, '--replace' => true]));
        self::assertStringContainsString('Nothing was changed.', Artisan::output());
        self::assertSame($before, $this->everything());
        self::assertSame([], [...self::kept(), ...(glob(SchoolFile::folder().'/{,files/}*.new', GLOB_BRACE) ?: [])]);
        self::assertFileDoesNotExist(dirname(SchoolFile::folder()).'/climbed');
    }

    /** @return array<string, array{\Closure(string): mixed}> */
    public static function spoilt(): array
    {
        $in = static fn (\Closure $change): \Closure => static function (string $file) use ($change): void {
            $zip = new \ZipArchive;
            $zip->open($file);
            $change($zip);
            $zip->close();
        };
        $manifest = static fn (\Closure $change): \Closure => $in(static function (\ZipArchive $zip) use ($change): void {
            $zip->addFromString('backup.json', (string) json_encode($change((array) json_decode((string) $zip->getFromName('backup.json'), true))));
        });

        return [
            'cut short' => [static fn (string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, -2000))],
            'nothing in it' => [static fn (string $file) => file_put_contents($file, '')],
            'not there' => [static fn (string $file) => unlink($file)],
            'of another kind' => [$manifest(static fn (array $told): array => [...$told, 'format' => 'other/1'])],
            'of a newer version' => [$manifest(static fn (array $told): array => [...$told, 'migrations' => ['2099_01_01_000000_later']])],
            'another database' => [$in(static fn (\ZipArchive $zip) => $zip->addFromString('school.sqlite', 'SQLite format 3'))],
            'a database that says it is right' => [$in(static function (\ZipArchive $zip): void {
                $zip->addFromString('school.sqlite', 'SQLite format 3');
                $zip->addFromString('backup.json', (string) json_encode([...(array) json_decode((string) $zip->getFromName('backup.json'), true), 'database' => hash('sha256', 'SQLite format 3')]));
            })],
            'a path that climbs out' => [$in(static function (\ZipArchive $zip): void {
                $zip->addFromString('files/media/../../climbed', 'x');
                $zip->addFromString('backup.json', (string) json_encode([...(array) json_decode((string) $zip->getFromName('backup.json'), true), 'media' => ['media/../../climbed']]));
            })],
            'a file that it does not hold' => [$manifest(static fn (array $told): array => [...$told, 'media' => ['media/none']])],
        ];
    }

    public function test_a_school_begins_with_what_it_is_told(): void
    {
        SchoolFile::empty();
        self::assertSame(1, Artisan::call('keep:begin', ['--name' => 'Tide', '--zone' => 'Nowhere/Here', '--email' => 'a@b.test']));
        self::assertSame(0, School::query()->count());
        self::assertSame(0, Artisan::call('keep:begin', ['--name' => 'Tide', '--zone' => 'America/Halifax', '--email' => 'Ada@b.test', '--currency' => 'cad']));
        $school = School::query()->sole();
        self::assertSame(['Tide', 'America/Halifax', 'CAD', null], [$school->name, $school->zone, $school->currency, $school->begin_code]);
        preg_match('/password (\S+)/', Artisan::output(), $found);
        $this->post('/sign-in', ['email' => 'ada@b.test', 'password' => $found[1] ?? ''])->assertSessionHasNoErrors()->assertRedirect();
        self::assertSame(0, Artisan::call('keep:begin', ['--name' => 'Other', '--zone' => 'Europe/Oslo', '--email' => 'a@b.test']));
        self::assertSame('Tide', School::query()->sole()->name);
    }

    public function test_a_school_that_is_told_nothing_asks_on_its_first_page_whoever_has_the_code(): void
    {
        SchoolFile::empty();
        $this->app->forgetScopedInstances();
        self::assertSame(0, Artisan::call('keep:begin'));
        self::assertSame(1, preg_match('#/begin\?code=(\w+)#', Artisan::output(), $found));
        $code = $found[1] ?? '';
        foreach (['/', '/sign-in', '/courses', '/keep/courses'] as $path) {
            $this->get($path)->assertStatus(503)->assertInertia(fn (Page $page) => $page->component('Error')->where('why', 'not begun'));
        }
        $this->get('/begin')->assertNotFound();
        $this->get('/begin?code='.str_repeat('0', 32))->assertNotFound();
        $this->get("/begin?code={$code}")->assertOk();
        $form = ['code' => $code, 'name' => 'Tide', 'zone' => 'Asia/Kolkata', 'currency' => 'INR', 'administrator' => 'Ada', 'email' => 'ada@b.test', 'password' => 'four words make one'];
        $this->post('/begin', [...$form, 'code' => 'x'])->assertForbidden();
        $this->post('/begin', [...$form, 'zone' => 'Mars', 'password' => 'short', 'email' => 'x', 'name' => ''])->assertSessionHasErrors(['zone', 'password', 'email', 'name']);
        $this->post('/begin', $form)->assertRedirect('/keep/courses');
        $this->assertAuthenticatedAs(Person::query()->where('email', 'ada@b.test')->sole());
        self::assertSame(['Tide', 'Asia/Kolkata', 'INR'], [School::query()->sole()->name, School::query()->sole()->zone, School::query()->sole()->currency]);
        // The code is used up.
        $this->get("/begin?code={$code}")->assertNotFound();
        $this->post('/begin', $form)->assertForbidden();
    }

    public function test_what_is_not_needed_any_more_is_cleaned_up(): void
    {
        $old = Carbon::now()->subDays(500);
        $eira = $this->person('eira')->id;
        foreach ([[$old, 'old'], [Carbon::now()->subDay(), 'new']] as [$at, $name]) {
            Storage::put("imports/{$name}", 'name,email');
            $import = ImportFactory::new()->createOne(['name' => $name, 'path' => "imports/{$name}", 'made_at' => $at]);
            DB::table('import_rows')->insert(['import_id' => $import->id, 'line' => 2, 'email' => 'a@b.test', 'name' => 'A', 'labels' => '[]', 'observes' => '[]']);
            SignInLinkFactory::new()->createOne(['person_id' => $eira, 'token_hash' => $name, 'expires_at' => $at, 'used_at' => $at]);
            MessageFactory::new()->createOne(['person_id' => $eira, 'to' => 'eira@alder.test', 'subject' => $name, 'written_at' => $at]);
        }
        Artisan::call('keep:clean-up');
        self::assertSame([false, true], [Storage::exists('imports/old'), Storage::exists('imports/new')]);
        self::assertSame([1, ['new'], ['new']], [DB::table('import_rows')->count(), SignInLink::query()->pluck('token_hash')->all(), Message::query()->pluck('subject')->all()]);
    }

    public function test_files_of_the_school_are_readable_by_nobody_else(): void
    {
        Storage::put('private/thing', 'x');
        clearstatcache();
        self::assertSame(['0600', '0700'], [substr(sprintf('%o', fileperms(Storage::path('private/thing'))), -4), substr(sprintf('%o', fileperms(Storage::path('private'))), -4)]);
    }

    /** @return list<string> databases that made way */
    private static function kept(): array
    {
        return glob(SchoolFile::folder().'/{,files/}school.*replaced-*', GLOB_BRACE) ?: [];
    }

    /** @return array<string, string> a digest of each table */
    private function everything(): array
    {
        $tables = [];
        foreach (Dialects::spoken()->tables() as $table) {
            $tables[$table] = md5((string) json_encode(DB::table($table)->get()->map(static fn (object $row): string => (string) json_encode($row))->sort()->values()));
        }

        return $tables;
    }
}
