<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Drafts\EditDraft;
use App\Drafts\Edits\SetField;
use App\Models\ActRecord;
use App\Models\Import;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\ActOnPeople;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use App\People\Import\ImportPeople;
use App\People\Import\ReadPeopleFile;
use App\People\Staged\StagedActs;
use App\People\UndoAct;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Tests\PgsqlSchools;
use Tests\SchoolFile;
use Tests\TestCase;

/**
 * Workers and the schedule are killed at random moments: the database is whole, nothing is half done, and the work goes on
 * with the next one. KILLS says how often (of each kind); by itself a few times.
 */
#[Group('long')]
final class KilledTest extends TestCase
{
    private const PEOPLE = 2500;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        config(['queue.default' => 'database']);
        foreach (array_chunk(range(1, self::PEOPLE), 500) as $some) {
            Person::query()->insert(array_map(static fn (int $n): array => ['name' => "Crew {$n}", 'email' => "crew{$n}@elsewhere.test"], $some));
        }
        $offer = Offer::query()->where('key', 'apprentice-pass')->firstOrFail();
        DB::insert("insert into passes (person_id, course_id, offer_id, starts_at, ends_at, state, source) select id, ?, ?, '2026-03-01 09:00:00', '2026-06-01 09:00:00', 'active', 'by hand' from people where email like 'crew%'", [$offer->course_id, $offer->id]);
    }

    /**
     * @param  \Closure(self): mixed  $ask  begins it
     * @param  list<string>  $command  that does it
     * @param  \Closure(self): bool  $isDone
     * @param  \Closure(self): bool  $isNotDone
     */
    #[DataProvider('works')]
    public function test_whoever_is_killed_leaves_nothing_half_done_and_the_next_goes_on(\Closure $ask, array $command, \Closure $isDone, \Closure $isNotDone): void
    {
        $ask($this);
        $kills = max(1, (int) (getenv('KILLS') ?: 4));
        for ($kill = 0; $kill < $kills && ! $isDone($this); $kill++) {
            $this->runArtisan($command, random_int(120_000, 900_000));
            // A database of PostgreSQL was not killed itself.
            if (! PgsqlSchools::areMeant()) {
                self::assertSame('ok', DB::scalar('PRAGMA integrity_check'));
                self::assertSame([], DB::select('PRAGMA foreign_key_check'));
            }
            self::assertTrue($isDone($this) || $isNotDone($this), 'It is half done.');
        }
        // As when the time is over after which a job that was given up is taken up again.
        for ($try = 0; $try < 20 && ! $isDone($this); $try++) {
            DB::table('jobs')->update(['reserved_at' => null, 'available_at' => 0, 'attempts' => 0]);
            $this->runArtisan($command, null);
        }
        self::assertTrue($isDone($this));
        self::assertSame(0, DB::table('failed_jobs')->count());
    }

    /** @return array<string, array{\Closure(self): mixed, list<string>, \Closure(self): bool, \Closure(self): bool}> */
    public static function works(): array
    {
        $worker = ['queue:work', '--stop-when-empty', '--tries=50', '--sleep=0'];
        $extended = static fn (): int => Pass::query()->where('ends_at', '2026-07-01 09:00:00')->count();
        $form = ['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 30];
        $crew = static fn (): array => array_values(Person::query()->where('email', 'like', 'crew%')->orderBy('id')->get()->map(static fn (Person $person): int => $person->id)->all());
        $prepare = static fn (self $test): ActRecord => app(ActOnPeople::class)->prepare(app(PeopleActs::class)->of($form, $test->person('hege')), $form, ChosenPeople::named($crew()), $test->person('hege'), null);
        $act = static fn (): ActRecord => ActRecord::query()->sole();
        $new = static fn (): int => Person::query()->where('email', 'like', 'new%')->count();

        return [
            'an act is prepared' => [
                static fn (self $test) => $prepare($test), $worker,
                static fn (): bool => $act()->state === 'prepared' && $act()->touched === self::PEOPLE && DB::table('act_changes')->count() === self::PEOPLE && DB::table('activities')->where('act_id', $act()->id)->count() === self::PEOPLE,
                static fn (): bool => $act()->state === 'preparing' && $extended() === 0 && DB::table('act_changes')->count() === $act()->looked && $act()->touched === $act()->looked,
            ],
            'an act is taken back' => [
                static function (self $test) use ($prepare): void {
                    $record = $prepare($test);
                    DB::table('jobs')->delete();
                    while ($record->state === 'preparing') {
                        app(StagedActs::class)->prepareSome($record);
                    }
                    app(ActOnPeople::class)->perform($record);
                    app(UndoAct::class)($record->id, $test->person('hege'), true);
                },
                $worker,
                static fn (): bool => $extended() === 0 && $act()->undone_at !== null,
                static fn (): bool => $extended() === self::PEOPLE && $act()->undone_at === null,
            ],
            'people are brought in' => [
                static function (self $test): void {
                    Storage::put('imports/crowd', "name,email,labels,offer\n".implode('', array_map(static fn (int $n): string => "New {$n},new{$n}@elsewhere.test,keen,yard-trial\n", range(1, 2000))));
                    $import = app(ReadPeopleFile::class)->begin('csv', 'crowd.csv', 'imports/crowd', [], $test->person('hege'));
                    app(ReadPeopleFile::class)->from($import, ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3]]);
                    while ($import->state === 'reading') {
                        app(ReadPeopleFile::class)->read($import);
                    }
                    app(ImportPeople::class)($import);
                },
                $worker,
                static fn (): bool => $new() === 2000 && Import::query()->sole()->lettered === null && DB::table('sign_in_links')->count() === 2000 && DB::table('messages')->count() === 2000 && Pass::query()->where('source', 'from crowd.csv')->count() === 2000,
                static fn (): bool => ($new() === 0 && DB::table('messages')->count() === 0) || ($new() === 2000 && Pass::query()->where('source', 'from crowd.csv')->count() === 2000 && DB::table('messages')->count() === DB::table('sign_in_links')->count()),
            ],
            'a file is read' => [
                static function (self $test): void {
                    Storage::put('imports/crowd', "name,email\n".implode('', array_map(static fn (int $n): string => "New {$n},new{$n}@elsewhere.test\n", range(1, 9000))));
                    $import = app(ReadPeopleFile::class)->begin('csv', 'crowd.csv', 'imports/crowd', [], $test->person('hege'));
                    $test->actingAs($test->person('hege'))->postJson("/keep/people/imports/{$import->id}/read", ['options' => ['columns' => ['name' => 0, 'email' => 1]]])->assertOk();
                },
                $worker,
                static fn (): bool => Import::query()->sole()->state === 'ready' && DB::table('import_rows')->distinct()->count('email') === 9000 && DB::table('import_rows')->count() === 9000,
                static fn (): bool => Import::query()->sole()->state === 'reading' && DB::table('import_rows')->count() === Import::query()->sole()->rows,
            ],
            'a publication at a set time' => [
                static function (self $test): void {
                    app(EditDraft::class)($test->course(), 0, new SetField('sample', ['l-timber'], true), $test->person('hege'));
                    DB::table('drafts')->update(['publish_at' => '2020-01-01 00:00:00', 'publish_version' => 1, 'publish_by' => $test->person('hege')->id, 'publish_losses_seen' => true]);
                },
                ['keep:publish-due'],
                static fn (self $test): bool => $test->course()->liveRevision?->number === 2 && DB::table('drafts')->count() === 0 && DB::table('activities')->where('action', 'course.published')->where('actor_id', $test->person('hege')->id)->count() === 1,
                static fn (self $test): bool => $test->course()->liveRevision?->number === 1 && DB::table('drafts')->count() === 1 && DB::table('revisions')->where('course_id', $test->course()->id)->count() === 1,
            ],
            'trials end' => [
                static function (self $test): void {
                    Offer::query()->where('key', 'apprentice-pass')->update(['erases' => true]);
                    Pass::query()->where('ends_at', '2026-06-01 09:00:00')->update(['ends_at' => '2020-01-01 00:00:00']);
                },
                ['keep:end-trials'],
                static fn (): bool => Pass::query()->whereNull('warned_at')->where('ends_at', '2020-01-01 00:00:00')->doesntExist() && DB::table('messages')->where('once', 'like', 'trial-warning%')->count() === DB::table('passes')->whereNotNull('warned_at')->count(),
                static fn (): bool => DB::table('messages')->where('once', 'like', 'trial-warning%')->count() === DB::table('passes')->whereNotNull('warned_at')->count(),
            ],
        ];
    }

    public function test_a_backup_that_is_killed_leaves_no_file_under_its_name(): void
    {
        $file = SchoolFile::folder().'/killed.zip';
        for ($kill = 0; $kill < max(1, (int) (getenv('KILLS') ?: 4)); $kill++) {
            $this->runArtisan(['keep:backup', $file], random_int(100_000, 400_000));
            if (is_file($file)) {
                $zip = new \ZipArchive;
                self::assertTrue($zip->open($file, \ZipArchive::CHECKCONS));
                $zip->close();
                unlink($file);
            }
        }
        self::assertSame(0, $this->runArtisan(['keep:backup', $file], null));
        unlink($file);
        array_map(unlink(...), glob("{$file}.*") ?: []);
    }

    /**
     * @param  list<string>  $command
     * @param  ?int  $microseconds  after which it is killed; null: it may end
     */
    private function runArtisan(array $command, ?int $microseconds): ?int
    {
        DB::disconnect();
        $process = new Process([(string) (new PhpExecutableFinder)->find(), 'artisan', ...$command], dirname(__DIR__, 2), [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=', ...SchoolFile::environment(), 'FILES_ROOT' => SchoolFile::folder().'/files',
            'QUEUE_CONNECTION' => 'database', 'CACHE_STORE' => 'array', 'CLOCK_AHEAD' => (string) ((int) strtotime('2026-03-10T12:00:00Z') - time()),
        ], timeout: 120);
        $process->start();
        if ($microseconds !== null) {
            // The one pause that is meant: how long it may live is chance.
            usleep($microseconds);
            $process->stop(0, SIGKILL);
        } else {
            $process->wait();
        }
        $this->app->forgetScopedInstances();

        return $process->getExitCode();
    }
}
