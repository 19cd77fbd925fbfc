<?php

declare(strict_types=1);

namespace Tests\School;

use App\Database\Busy;
use App\Database\Copying\CannotCopy;
use App\Database\Copying\CopySchool;
use App\Database\Copying\Digest;
use App\Database\Copying\OtherDatabase;
use App\Database\Copying\Seal;
use App\Models\Person;
use App\School\Backup\DatabaseInPlace;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\PgsqlSchools;
use Tests\SchoolFile;
use Tests\TestCase;

/** A school goes to another database, whole or not at all. */
final class MoveTest extends TestCase
{
    private string $file;

    private ?string $moved = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->file = SchoolFile::folder().'/'.bin2hex(random_bytes(6)).'.sqlite';
        app(DatabaseInPlace::class)->copyTo($this->file);
    }

    protected function tearDown(): void
    {
        DB::purge();
        array_map(unlink(...), glob(SchoolFile::folder().'/*.sqlite*') ?: []);
        if ($this->moved !== null) {
            DB::purge('moved');
            PgsqlSchools::drop($this->moved);
        }
        parent::tearDown();
    }

    public function test_every_row_of_every_table_is_copied(): void
    {
        $source = OtherDatabase::sqlite($this->file)->connection;
        $here = $this->emptied();
        $counts = (new CopySchool($source, $here))();
        self::assertSame([44, 7, count(glob(database_path('migrations/*.php')) ?: [])], [$counts['people'], $counts['courses'], $counts['migrations']]);
        foreach (array_keys($counts) as $table) {
            self::assertSame($source->table($table)->count(), $here->table($table)->count(), $table);
        }
        // New rows have numbers that nobody had, the database notes changes of passes, and rows are found by their words.
        $last = (int) $source->table('people')->max('id');
        self::assertSame($last + 1, Person::query()->create(['name' => 'Somebody New', 'email' => 'newcomer@alder.test'])->id);
        $changes = (int) DB::table('pass_changes')->sum('changes');
        DB::table('passes')->where('id', DB::table('passes')->min('id'))->update(['source' => 'moved']);
        self::assertSame($changes + 1, (int) DB::table('pass_changes')->sum('changes'));
        $this->actingAs($this->person('hege'))->get('/keep/find/rows?q=oak')->assertOk()->assertSee('oak');
    }

    /** @param  \Closure(Connection): mixed  $spoil */
    #[DataProvider('spoilt')]
    public function test_what_cannot_be_copied_whole_leaves_the_other_as_it_was(\Closure $spoil, string $says): void
    {
        $source = OtherDatabase::sqlite($this->file)->connection;
        $source->unprepared('pragma foreign_keys = off');
        $spoil($source);
        DB::table('people')->where('email', 'eira@alder.test')->update(['name' => 'Still here']);
        try {
            (new CopySchool($source, DB::connection()))();
            self::fail('It was copied.');
        } catch (CannotCopy $e) {
            self::assertStringContainsString($says, $e->getMessage());
        }
        self::assertSame('Still here', $this->person('eira')->name);
        self::assertSame(7, DB::table('courses')->count());
        // Also what the tables demand of each other.
        $this->expectException(QueryException::class);
        DB::table('labels')->insert(['person_id' => 987_654, 'label' => 'of nobody', 'source' => 'test']);
    }

    /** @return array<string, array{\Closure(Connection): mixed, string}> */
    public static function spoilt(): array
    {
        return [
            'a row names another that is not there' => [static fn (Connection $in) => $in->table('labels')->insert(['person_id' => 987_654, 'label' => 'of nobody', 'source' => 'test']), 'labels'],
            'a table has another column' => [static fn (Connection $in) => $in->unprepared('alter table posts add column more text'), 'posts is not the same'],
            'a table is missing' => [static fn (Connection $in) => $in->unprepared('drop table trigger_runs'), 'trigger_runs'],
        ];
    }

    public function test_rows_are_told_apart_by_all_that_is_in_them(): void
    {
        $all = [self::told([['1', 'a'], ['2', 'b']]), self::told([['2', 'b'], ['1', 'a']]), self::told([['1', 'a'], ['2', null]]), self::told([['1', 'a'], ['2', '']]), self::told([['1', 'a']]), self::told([['1a', ''], ['2', 'b']])];
        self::assertSame($all, array_unique($all));
    }

    /** @param  list<list<?string>>  $rows */
    private static function told(array $rows): string
    {
        $digest = new Digest;
        $digest->add($rows);

        return $digest->rows().' '.$digest->told();
    }

    /** PostgreSQL would write it as it should have been: that is not what was there. */
    public function test_what_would_come_out_as_something_else_is_not_copied(): void
    {
        if (! PgsqlSchools::areMeant()) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $source = OtherDatabase::sqlite($this->file)->connection;
        $source->table('people')->where('email', 'eira@alder.test')->update(['created_at' => '2026-3-1 9:00']);
        $this->expectException(CannotCopy::class);
        $this->expectExceptionMessage('people: 44 rows were given and 44 taken, or they are not the same');
        (new CopySchool($source, DB::connection()))();
    }

    public function test_a_database_that_was_left_takes_no_writes_until_the_school_stays_after_all(): void
    {
        $left = OtherDatabase::sqlite($this->file)->connection;
        self::assertFalse(Seal::isClosed($left));
        Seal::close($left);
        foreach ([fn () => $left->table('people')->update(['name' => 'x']), fn () => $left->table('labels')->delete(), fn () => $left->table('labels')->insert(['person_id' => 1, 'label' => 'x', 'source' => 'x'])] as $write) {
            try {
                $write();
                self::fail('It was written.');
            } catch (QueryException $e) {
                self::assertTrue(Busy::was($e), 'Whoever writes is told to come back.');
            }
        }
        self::assertTrue(Seal::isClosed($left));
        Seal::open($left);
        self::assertSame(1, $left->table('people')->where('email', 'eira@alder.test')->update(['name' => 'x']));
    }

    public function test_the_command_moves_a_school_and_says_what_is_to_be_done(): void
    {
        config(['database.default' => 'sqlite', 'database.connections.sqlite.database' => $this->file]);
        DB::purge();
        self::assertSame(1, Artisan::call('keep:move-to', ['database' => 'mysql']));
        self::assertSame(1, Artisan::call('keep:move-to', ['database' => 'pgsql']));
        self::assertStringContainsString('Say where to', Artisan::output());
        self::assertSame(1, Artisan::call('keep:move-to', ['database' => 'pgsql', '--url' => 'pgsql://nobody:x@127.0.0.1:1/none']));
        self::assertStringContainsString('Nothing was moved', Artisan::output());
        self::assertFalse(Seal::isClosed(DB::connection()));
        if (PgsqlSchools::areMeant()) {
            $this->moves();
        }
    }

    private function moves(): void
    {
        PgsqlSchools::make($this->moved = PgsqlSchools::name());
        $to = ['database' => 'pgsql', '--url' => sprintf('pgsql://%s:@%s:%s/%s', getenv('DB_USERNAME'), getenv('DB_HOST'), getenv('DB_PORT'), $this->moved)];
        self::assertSame(0, Artisan::call('keep:move-to', [...$to, '--try' => true]), Artisan::output());
        self::assertFalse(Seal::isClosed(DB::connection()));
        self::assertSame(1, Artisan::call('keep:move-to', $to));
        self::assertStringContainsString('--replace', Artisan::output());
        self::assertSame(0, Artisan::call('keep:move-to', [...$to, '--replace' => true]));
        self::assertStringContainsString('they are the same', Artisan::output());
        self::assertTrue(Seal::isClosed(DB::connection()));
        self::assertSame(44, OtherDatabase::pgsql((string) $to['--url'])->connection->table('people')->count());
        self::assertSame(1, Artisan::call('keep:move-to', [...$to, '--replace' => true]));
        self::assertSame(0, Artisan::call('keep:move-to', ['database' => 'pgsql', '--stay' => true]));
        self::assertFalse(Seal::isClosed(DB::connection()));
    }

    private function emptied(): Connection
    {
        SchoolFile::empty();

        return DB::connection();
    }
}
