<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\LedgerWords;
use App\Ledger\Proof\Finding;
use App\Ledger\Proof\Head;
use App\Ledger\Proof\NoteHead;
use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Recording\Recording;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Psr\Log\AbstractLogger;
use Psr\Log\LoggerInterface;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

final class ProofTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_a_ledger_that_nobody_has_touched_is_whole(): void
    {
        self::assertSays(0, 'all as they were written', 'keep:verify-ledger');
        DB::table('labels')->insert(['person_id' => $this->person('eira')->id, 'label' => "crew \u{1F6F6} \"a\\b\"", 'source' => "two\nlines"]);
        DB::table('labels')->where('label', 'like', 'crew%')->update(['ends_at' => '2026-04-01 00:00:00']);
        self::assertSame([], self::told());
    }

    /**
     * One byte changed, one entry taken out, two in each other's place: a hundred times, anywhere.
     */
    public function test_whatever_is_altered_is_found_and_where(): void
    {
        app(NoteHead::class)();
        $dice = new Randomizer(new Mt19937(20));
        $last = Head::now()->entry;
        for ($n = 0; $n < 100; $n++) {
            DB::beginTransaction();
            Recording::end();
            $entry = $dice->getInt(1, $last);
            $places = match ($n % 3) {
                0 => [self::changeByte($entry, $dice)],
                1 => [self::takeOut($entry)],
                default => self::exchange($entry, $dice->getInt(1, $last), $last),
            };
            $told = implode(' ', self::told());
            foreach ($places as $place) {
                self::assertTrue(self::names($told, $place), "{$n}: entry {$place} is not named: {$told}");
            }
            DB::rollBack();
        }
        self::assertSame([], self::told());
    }

    /** @return iterable<string, array{\Closure(): mixed, string}> */
    public static function whatElseIsTouched(): iterable
    {
        yield 'a pass behind its back' => [static fn () => DB::table('passes')->where('id', 3)->update(['state' => 'revoked']), 'A row is not as the ledger says: passes, first 3.'];
        yield 'a pass that nobody gave' => [static fn () => DB::insert('insert into passes (id, person_id, course_id, offer_id, starts_at) select 9000, person_id, course_id, offer_id, starts_at from passes where id = 3'), 'A row is not as the ledger says: passes, first 9000.'];
        yield 'one that is not there any more' => [static fn () => DB::table('completions')->where('id', 2)->delete(), 'A row is not as the ledger says: completions, first 2.'];
        yield 'a role' => [static fn () => DB::table('people')->where('id', 5)->update(['role' => 'administrator']), 'A row is not as the ledger says: people, first 5.'];
        yield 'rules that were published' => [static fn () => DB::table('revisions')->where('id', 1)->update(['document' => DB::raw("document || ' '")]), 'The document of revision 1 is another than the one that was published.'];
    }

    /** @param  \Closure(): mixed  $touch */
    #[DataProvider('whatElseIsTouched')]
    public function test_tables_that_are_not_as_it_says(\Closure $touch, string $told): void
    {
        DB::transaction(static function () use ($touch): void {
            Recording::end();
            $touch();
            Recording::begin();
        });
        self::assertSame([$told], self::told());
        self::assertSays(1, $told, 'keep:verify-ledger');
    }

    public function test_the_last_entries_cannot_be_taken_out_where_the_end_was_noted(): void
    {
        $noted = Head::now();
        DB::transaction(static function () use ($noted): void {
            Recording::end();
            DB::table('ledger')->where('id', '>', $noted->entry - 3)->delete();
            Recording::begin();
        });
        $last = $noted->entry;
        self::assertContains('3 entries are missing: '.($last - 2)." to {$last}.", self::told([$noted]));
    }

    /** Somebody who writes all entries anew from one on, links and all, is found by what was noted elsewhere. */
    public function test_a_ledger_written_anew_is_not_the_one_whose_end_was_noted(): void
    {
        $noted = Head::now();
        DB::transaction(static function () use ($noted): void {
            Recording::end();
            $entry = DB::table('ledger')->find($noted->entry);
            assert($entry instanceof \stdClass);
            $says = [DB::table('ledger')->where('id', $noted->entry - 1)->value('chain'), $entry->at - 86400, $entry->by, $entry->cause, $entry->subject, $entry->row_id, $entry->person_id, $entry->course_id, $entry->what, $entry->content];
            DB::table('ledger')->where('id', $noted->entry)->update(['at' => $entry->at - 86400, 'chain' => LedgerWords::chained($says)]);
            Recording::begin();
        });
        self::assertSame([], self::told());
        self::assertSame(["Entry {$noted->entry} is not the one that was noted when it was the last."], self::told([$noted]));
        self::assertSays(1, 'is not the one that was noted', 'keep:verify-ledger', ['--head' => [$noted->told()]]);
        self::assertSays(2, '44 letters', 'keep:verify-ledger', ['--head' => ['17:abc']]);
    }

    public function test_the_end_is_noted_in_both_logs(): void
    {
        $logger = new class extends AbstractLogger
        {
            /** @var list<string> */
            public array $lines = [];

            public function log($level, string|\Stringable $message, array $context = []): void
            {
                $this->lines[] = "{$message}";
            }
        };
        $this->app->instance(LoggerInterface::class, $logger);
        $head = Head::now();
        self::assertSays(0, $head->told(), 'keep:note-ledger');
        self::assertSame(json_encode(['head' => $head->told()], JSON_UNESCAPED_SLASHES), json_encode(json_decode((string) DB::table('activities')->where('action', 'ledger.head')->value('after'), true), JSON_UNESCAPED_SLASHES));
        self::assertSame(["The ledger ends with {$head->told()}"], $logger->lines);
        // It is among those that are looked at from then on.
        DB::transaction(static function () use ($head): void {
            Recording::end();
            DB::table('ledger')->where('id', $head->entry)->delete();
            Recording::begin();
        });
        self::assertContains("Entry {$head->entry} is missing.", self::told());
    }

    public function test_what_is_not_as_it_says_is_put_right(): void
    {
        $before = self::tables();
        DB::transaction(static function (): void {
            Recording::end();
            DB::table('passes')->where('id', '<', 4)->delete();
            DB::table('completions')->update(['completed_at' => '2020-01-01 00:00:00']);
            DB::insert('insert into labels (person_id, label, source) select id, ?, ? from people', ['crew', 'nobody']);
            DB::table('schools')->update(['zone' => 'Asia/Kolkata']);
            Recording::begin();
        });
        $last = Head::now()->entry;
        self::assertSays(1, '--put puts them right', 'keep:rebuild');
        self::assertSays(0, 'rows were put right', 'keep:rebuild', ['--put' => true]);
        self::assertSame($before, self::tables());
        self::assertSame($last, Head::now()->entry);
        self::assertSame([], self::told());
        DB::table('labels')->delete();
        self::assertGreaterThan($last, Head::now()->entry);
    }

    public function test_a_ledger_that_was_altered_puts_nothing_right(): void
    {
        DB::transaction(static function (): void {
            Recording::end();
            DB::table('ledger')->where('subject', 'passes')->update(['content' => '{}']);
            Recording::begin();
        });
        $before = self::tables();
        self::assertSays(1, 'Nothing was changed', 'keep:rebuild', ['--put' => true]);
        self::assertSame($before, self::tables());
    }

    /** @param  array<string, mixed>  $with */
    private static function assertSays(int $code, string $words, string $command, array $with = []): void
    {
        self::assertSame($code, Artisan::call($command, $with));
        self::assertStringContainsString($words, Artisan::output());
    }

    /** @return array<string, array<array-key, mixed>> */
    private static function tables(): array
    {
        $rows = [];
        foreach (['passes', 'completions', 'labels', 'schools', 'people', 'offers', 'courses', 'revisions', 'observer_ties', 'grants'] as $table) {
            $rows[$table] = DB::table($table)->orderBy('id')->get()->map(static fn (object $row): array => (array) $row)->all();
        }

        return $rows;
    }

    /**
     * @param  list<Head>  $heads
     * @return list<string>
     */
    private static function told(array $heads = []): array
    {
        return array_map(static fn (Finding $one): string => $one->told(), app(VerifyLedger::class)($heads)['findings']);
    }

    /** Whether an entry is named, alone or in a row of some. */
    private static function names(string $told, int $entry): bool
    {
        preg_match_all('/Entry (\d+) is|: (\d+) to (\d+)\./', $told, $found, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
        foreach ($found as [, $alone, $first, $last]) {
            if ((int) ($alone ?? $first) <= $entry && $entry <= (int) ($alone ?? $last)) {
                return true;
            }
        }

        return false;
    }

    private static function changeByte(int $entry, Randomizer $dice): int
    {
        $column = ['at', 'by', 'cause', 'subject', 'row_id', 'person_id', 'course_id', 'what', 'content', 'chain'][$dice->getInt(0, 9)];
        $value = DB::table('ledger')->where('id', $entry)->value($column);
        if (is_int($value) || $value === null) {
            $other = ($value ?? 0) + 1;
        } else {
            $text = (string) $value;
            $place = $text === '' ? 0 : $dice->getInt(0, strlen($text) - 1);
            $other = $text === '' ? 'x' : substr_replace($text, $text[$place] === 'x' ? 'y' : 'x', $place, 1);
        }
        DB::table('ledger')->where('id', $entry)->update([$column => $other]);

        return $entry;
    }

    private static function takeOut(int $entry): int
    {
        DB::table('ledger')->where('id', $entry)->delete();

        return $entry;
    }

    /** @return list<int> */
    private static function exchange(int $one, int $other, int $last): array
    {
        $other = $one === $other ? $one % $last + 1 : $other;
        $rows = [];
        foreach ([$one, $other] as $entry) {
            $rows[$entry] = (array) DB::table('ledger')->find($entry);
        }
        foreach ([[$one, $other], [$other, $one]] as [$to, $from]) {
            DB::table('ledger')->where('id', $to)->update(array_diff_key($rows[$from], ['id' => true]));
        }

        return [$one, $other];
    }
}
