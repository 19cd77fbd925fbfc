<?php

declare(strict_types=1);

namespace Tests;

use App\Ledger\History\History;
use App\Models\Course;
use App\Models\Person;
use App\Standins\Mail\Postbox;
use Database\Seeders\DemoSchool;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

abstract class TestCase extends LaravelTestCase
{
    /** Where the school's files lie, where that is not on this machine. */
    private ?ObjectStore $store = null;

    protected function setUp(): void
    {
        // What one test keeps in Redis is not there for another; whatever asks for it as the application begins has the name, too.
        $_ENV['REDIS_PREFIX'] = bin2hex(random_bytes(6)).':';
        parent::setUp();
        $this->withoutVite();
        // On whatever day the tests run: those that name no instant of their own are at this one, or at the one they are run for.
        Carbon::setTestNow(getenv('TESTS_AT') ?: '2026-03-10T12:00:00Z');
        config([PgsqlSchools::areMeant() ? 'database.connections.pgsql.database' : 'database.connections.sqlite.database' => SchoolFile::place(), 'filesystems.disks.local.root' => SchoolFile::folder().'/files']);
        DB::extend(DB::getDefaultConnection(), static function (array $config, string $name): Connection {
            SchoolFile::ready();

            return app('db.factory')->make($config, $name);
        });
        SchoolFile::empty();
        $this->store = ObjectStore::isMeant() ? ObjectStore::begin() : null;
        Storage::deleteDirectory('mail');
    }

    protected function tearDown(): void
    {
        DB::disconnect();
        parent::tearDown();
    }

    /** The demo school, as if it had been loaded at noon on an ordinary day. */
    protected function demoSchool(string $now = '2026-03-10T12:00:00Z'): void
    {
        Carbon::setTestNow($now);
        SchoolFile::filled("demo at {$now}", static function (): void {
            // Its media are for all tests, also where the first one has put another disk in place.
            [$disk, $default] = [Storage::disk('local'), config('filesystems.default')];
            Storage::forgetDisk('local');
            config(['filesystems.default' => 'local']);
            app(DemoSchool::class)->run();
            config(['filesystems.default' => $default]);
            Storage::set('local', $disk);
        });
        if ($this->store !== null) {
            SchoolFile::path();
            $this->store->take(SchoolFile::folder().'/files');
        }
        // Whichever test is the first to load it knows no more of it than the others.
        $this->inAnotherProcess();
    }

    /** The school's files lie elsewhere from now on, as they lie here. */
    protected function filesElsewhere(): ObjectStore
    {
        SchoolFile::path();
        $this->store = ObjectStore::begin();
        $this->store->take(SchoolFile::folder().'/files');

        return $this->store;
    }

    /** As a school begins: nothing is said at any door, and no course is offered beside another. */
    protected function wordless(): void
    {
        foreach (['notice_texts', 'shared_notices', 'related_offers'] as $table) {
            DB::table($table)->delete();
        }
    }

    /** The path of the link in the newest letter to an address, as it arrived. */
    protected function linkTo(string $address): string
    {
        foreach (app(Postbox::class)->letters($address) as $letter) {
            if (preg_match('#https?://[^/\s]+(/sign-in/link/\w+)#', $letter, $found) === 1) {
                return $found[1];
            }
        }
        self::fail("No link was sent to {$address}.");
    }

    /** What rows say of days that are past was known on those days: as if each had been written when it says. */
    protected function asIfWrittenThen(): void
    {
        DB::transaction(static fn () => app(History::class)->of(static fn () => null));
    }

    protected function person(string $name): Person
    {
        return Person::query()->where('email', "{$name}@alder.test")->firstOrFail();
    }

    /** What is asked next is asked of another process: nothing of this one is known there but what was kept. */
    protected function inAnotherProcess(): void
    {
        $this->app->forgetScopedInstances();
        // Routes hold their controllers, and those what they were made with.
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $route->flushController();
        }
    }

    /** What was kept is kept no more: that of this test, for a Redis is one of all that run at once, with the sessions of schools that are served. */
    protected function nothingIsKept(): void
    {
        config('cache.default') === 'redis' ? RedisKeys::forgetAllButSessions($_ENV['REDIS_PREFIX']) : Cache::flush();
    }

    protected function course(string $key = 'clinker'): Course
    {
        return Course::query()->where('key', $key)->firstOrFail();
    }
}
