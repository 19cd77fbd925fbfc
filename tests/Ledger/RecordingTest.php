<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Hand;
use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Recording\Recording;
use App\Ledger\Recording\Subjects;
use App\Models\Completion;
use App\Models\Label;
use App\Models\Pass;
use Illuminate\Console\Events\CommandStarting;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\MigrationsStarted;
use Illuminate\Database\QueryException;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Tests\TestCase;

final class RecordingTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_an_act_is_written_with_whoever_did_it_and_why(): void
    {
        $last = self::last();
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'extend', 'people' => [$this->person('eira')->id], 'offer' => 'apprentice-pass', 'days' => 10])->assertSessionHasNoErrors();
        $entry = self::entriesAfter($last)[0];
        $pass = Pass::query()->where('person_id', $this->person('eira')->id)->firstOrFail();

        self::assertSame(['passes', $pass->id, $pass->person_id, $pass->course_id, 'changed'], [$entry->subject, $entry->row_id, $entry->person_id, $entry->course_id, $entry->what]);
        self::assertSame(["person {$this->person('hege')->id}", 'act '.DB::table('people_acts')->max('id')], [$entry->by, $entry->cause]);
        self::assertSame((new \DateTimeImmutable('2026-03-10T12:00:00Z'))->getTimestamp(), $entry->at);
        self::assertSame($pass->getRawOriginal('ends_at'), json_decode((string) $entry->content, true)['ends_at']);
    }

    public function test_what_is_set_off_and_what_the_program_does_says_so(): void
    {
        $hand = app(Hand::class);
        self::assertSame(['program', 'inner'], $hand->while('trigger 3', 'run 7', static fn (): array => Hand::writes('program', 'inner', static fn (): array => [$hand->by(), $hand->cause()])));
        self::assertSame(['program', ''], [$hand->by(), $hand->cause()]);
        try {
            $hand->while('shop', 'purchase 1', static fn () => throw new \LogicException);
        } catch (\LogicException) {
            self::assertSame('program', $hand->by());
        }
        $last = self::last();
        event(new CommandStarting('keep:end-trials', new ArrayInput([]), new NullOutput));
        Label::query()->create(['person_id' => $this->person('eira')->id, 'label' => 'crew', 'source' => 'by hand']);
        self::assertSame(['program', 'keep:end-trials'], [self::entriesAfter($last)[0]->by, self::entriesAfter($last)[0]->cause]);
    }

    public function test_every_subject_is_written_when_it_is_made_changed_and_gone(): void
    {
        $eira = $this->person('eira');
        $course = $this->course();
        $last = self::last();
        $label = Label::query()->create(['person_id' => $eira->id, 'label' => 'crew', 'source' => 'by hand']);
        $label->update(['ends_at' => '2026-04-01 00:00:00']);
        $label->delete();
        DB::table('edited_courses')->insert(['person_id' => $eira->id, 'course_id' => $course->id]);
        DB::table('edited_courses')->where('person_id', $eira->id)->delete();
        $eira->update(['role' => 'assistant']);
        $eira->update(['name' => 'Eira Nes']);
        DB::table('schools')->update(['guests' => false]);
        DB::table('schools')->update(['front_title' => 'Boats']);
        $course->update(['about' => 'Of planks']);
        $course->update(['guest_token' => 'abc']);

        self::assertSame([
            'labels made', 'labels changed', 'labels gone', 'edited_courses made', 'edited_courses gone', 'people changed', 'schools changed', 'courses changed',
        ], array_map(static fn (object $entry): string => "{$entry->subject} {$entry->what}", self::entriesAfter($last)));
    }

    public function test_one_statement_over_many_rows_writes_each_and_one_that_changes_nothing_writes_none(): void
    {
        $last = self::last();
        DB::table('passes')->update(['state' => DB::raw('state')]);
        self::assertSame([], self::entriesAfter($last));
        DB::table('passes')->update(['source' => 'all at once']);
        self::assertCount(Pass::query()->count(), self::entriesAfter($last));
    }

    public function test_what_goes_with_its_person_is_written_too_and_what_is_undone_is_not(): void
    {
        $eira = $this->person('eira');
        $done = Completion::query()->where('person_id', $eira->id)->count();
        $last = self::last();
        try {
            DB::transaction(static function (): void {
                DB::table('labels')->delete();
                throw new \LogicException;
            });
        } catch (\LogicException) {
            self::assertSame([], self::entriesAfter($last));
        }
        Pass::query()->where('person_id', $eira->id)->delete();
        $eira->delete();
        $gone = array_map(static fn (object $entry): string => "{$entry->subject} {$entry->what}", self::entriesAfter($last));
        self::assertSame([$done, 1], [count(array_keys($gone, 'completions gone', true)), count(array_keys($gone, 'people gone', true))]);
    }

    public function test_a_row_that_goes_over_to_another_person_is_gone_with_the_first(): void
    {
        $pass = Pass::query()->where('person_id', $this->person('eira')->id)->firstOrFail();
        $last = self::last();
        DB::table('passes')->where('id', $pass->id)->update(['person_id' => $this->person('odd')->id]);
        self::assertSame([[$pass->person_id, 'gone'], [$this->person('odd')->id, 'made']], array_map(static fn (object $entry): array => [$entry->person_id, $entry->what], self::entriesAfter($last)));
    }

    public function test_no_entry_is_altered_or_taken_out(): void
    {
        foreach ([static fn () => DB::table('ledger')->where('id', 1)->update(['by' => 'nobody']), static fn () => DB::table('ledger')->where('id', 1)->delete()] as $alter) {
            try {
                DB::transaction($alter);
                self::fail('An entry was altered.');
            } catch (QueryException $e) {
                self::assertStringContainsString('never altered', $e->getMessage());
            }
        }
    }

    /** A migration of SQLite that changes a column makes the table anew, and what was noted by it is lost without a word. */
    public function test_a_table_that_a_migration_makes_anew_is_written_of_as_before(): void
    {
        $last = self::last();
        event(new MigrationsStarted('up'));
        Schema::table('labels', static fn (Blueprint $table) => $table->string('source', 300)->default('by hand')->change());
        DB::table('labels')->where('id', 1)->delete();
        DB::table('passes')->where('id', 3)->update(['source' => 'a migration']);
        event(new MigrationsEnded('up'));
        self::assertEquals([['passes', 3, 'changed', 'migration'], ['labels', 1, 'gone', 'migration']], array_map(static fn (object $entry): array => [$entry->subject, $entry->row_id, $entry->what, $entry->cause], self::entriesAfter($last)));
        Label::query()->create(['person_id' => $this->person('eira')->id, 'label' => 'crew', 'source' => 'by hand']);
        self::assertCount(3, self::entriesAfter($last));
        self::assertSame([], app(VerifyLedger::class)()['findings']);
    }

    public function test_what_is_known_of_a_row_are_columns_that_there_are(): void
    {
        foreach (Subjects::all() as $subject) {
            self::assertSame([], array_values(array_diff([...$subject->known(), ...$subject->digests, ...$subject->flags], Schema::getColumnListing($subject->table))), $subject->table);
        }
        // What is added to them later is to be thought of: of these tables the ledger knows all.
        foreach (['passes', 'labels', 'grants', 'completions', 'observer_ties', 'edited_courses', 'offers'] as $table) {
            self::assertSame([], array_values(array_diff(Schema::getColumnListing($table), Subjects::all()[$table]->known())), $table);
        }
    }

    public function test_nothing_is_written_while_the_tables_are_put_right(): void
    {
        $last = self::last();
        DB::transaction(static function (): void {
            Recording::end();
            DB::table('labels')->delete();
            Recording::begin();
        });
        self::assertSame([], self::entriesAfter($last));
        Label::query()->create(['person_id' => $this->person('eira')->id, 'label' => 'crew', 'source' => 'by hand']);
        self::assertCount(1, self::entriesAfter($last));
    }

    private static function last(): int
    {
        return (int) DB::table('ledger')->max('id');
    }

    /** @return array<int, \stdClass> */
    private static function entriesAfter(int $entry): array
    {
        return DB::table('ledger')->where('id', '>', $entry)->orderBy('id')->get()->values()->all();
    }
}
