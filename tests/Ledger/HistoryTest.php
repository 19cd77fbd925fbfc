<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Ledger\Proof\Head;
use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Recording\Recording;
use App\Models\Pass;
use App\School\Backup\BackUp;
use App\School\Health;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\MigrationsStarted;
use Illuminate\Database\Events\NoPendingMigrations;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use SilentKeep\Core\Deciding\State;
use Tests\TestCase;

/** A school that kept no ledger gets one of what its history can tell. */
final class HistoryTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_a_school_that_kept_none_gets_one_and_says_from_when_on_it_is_whole(): void
    {
        Carbon::setTestNow('2026-03-20T12:00:00Z');
        Pass::query()->where('person_id', $this->person('eira')->id)->update(['created_at' => '2026-03-03 12:00:00', 'state' => 'paused', 'updated_at' => '2026-03-15 12:00:00']);
        DB::table('revisions')->update(['published_at' => '2026-03-01 12:00:00']);
        $this->upgrade();

        self::assertSame((new \DateTimeImmutable('2026-03-20T12:00:00Z'))->getTimestamp(), Past::wholeSince());
        self::assertSame([], app(VerifyLedger::class)()['findings']);
        $instants = DB::table('ledger')->orderBy('id')->pluck('at')->all();
        self::assertSame($instants, array_values(collect($instants)->sort()->all()));
        $state = fn (string $at): ?State => app(Past::class)->of($this->course(), new PastLooker($this->person('eira')->id), new Moment((new \DateTimeImmutable($at))->getTimestamp()))?->answer->state(2);
        self::assertNull($state('2026-02-27T12:00:00Z'));
        self::assertSame([State::Locked, State::Open, State::Locked], [$state('2026-03-02T12:00:00Z'), $state('2026-03-10T12:00:00Z'), $state('2026-03-16T12:00:00Z')]);
        $this->actingAs($this->person('hege'))->get("/keep/people/{$this->person('eira')->id}/past")->assertOk()->assertInertia(static fn ($page) => $page->where('wholeSince', 'Fri 20 Mar, 13:00'));
    }

    public function test_an_upgrade_that_was_stopped_is_done_anew(): void
    {
        $this->upgrade();
        $entries = Head::now()->entry;
        // What was begun, and never said to be done.
        event(new MigrationsStarted('up'));
        DB::table('ledger')->where('id', '>', 10)->delete();
        $this->upgrade();
        self::assertSame($entries, Head::now()->entry);
        self::assertSame([], app(VerifyLedger::class)()['findings']);
    }

    public function test_a_school_where_nothing_is_written_says_so_and_the_next_start_begins_again(): void
    {
        app(Health::class)->beat();
        app(Health::class)->check();
        DB::transaction(static fn () => Recording::end());
        DB::table('labels')->insert(['person_id' => $this->person('eira')->id, 'label' => 'unseen', 'source' => 'nobody']);
        try {
            app(Health::class)->check();
            self::fail('It says that all is well.');
        } catch (\RuntimeException $e) {
            self::assertStringContainsString('ledger', $e->getMessage());
        }
        event(new NoPendingMigrations('up'));
        app(Health::class)->check();
        self::assertSame('migration', DB::table('ledger')->where('subject', 'labels')->orderByDesc('id')->value('cause'));
        self::assertSame([], app(VerifyLedger::class)()['findings']);
    }

    public function test_a_backup_says_with_which_entry_the_ledger_ends_and_brings_it_back(): void
    {
        $head = Head::now();
        $file = sys_get_temp_dir().'/'.bin2hex(random_bytes(6)).'.zip';
        app(BackUp::class)($file);
        $zip = new \ZipArchive;
        $zip->open($file);
        self::assertSame($head->told(), json_decode((string) $zip->getFromName('backup.json'), true)['ledger'] ?? null);
        $zip->close();
        DB::table('labels')->delete();
        $this->artisan('keep:restore', ['file' => $file, '--replace' => true]);
        unlink($file);
        self::assertSame($head->told(), Head::now()->told());
        self::assertSame([], app(VerifyLedger::class)([$head])['findings']);
        DB::table('labels')->delete();
        self::assertGreaterThan($head->entry, Head::now()->entry);
    }

    protected function tearDown(): void
    {
        // Other tests begin where no schedule has run.
        Storage::delete('schedule-ran');
        parent::tearDown();
    }

    private function upgrade(): void
    {
        $migration = require database_path('migrations/2026_11_29_000061_ledger.php');
        assert(is_object($migration) && method_exists($migration, 'up'));
        event(new MigrationsStarted('up'));
        Schema::dropIfExists('ledger');
        $migration->up();
        event(new MigrationsEnded('up'));
        $this->inAnotherProcess();
    }
}
