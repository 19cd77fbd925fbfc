<?php

declare(strict_types=1);

namespace Tests\Privacy;

use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Rebuilding\Difference;
use App\Ledger\Rebuilding\PresentTables;
use App\Models\ErasedPerson;
use App\Models\Person;
use App\Privacy\Erasing\RemoveTraces;
use App\Privacy\Held\Sections;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterKind;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\PgsqlSchools;
use Tests\TestCase;

/** Somebody is erased: nothing names them any more, and everything is counted as before. */
final class ErasePersonTest extends TestCase
{
    use LeavesTraces;

    /** Of a letter that is written in two ways in JSON. */
    private const NAMES = ['Kaia Rønning', 'Kaia R\u00f8nning', 'Kaia%20R%C3%B8nning', 'Kaia+R%C3%B8nning', 'kaia@alder.test', 'kaia%40alder.test'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_no_byte_names_them_afterwards(): void
    {
        $kaia = $this->person('kaia');
        foreach ([...Sections::LET_GO, ...array_diff(Sections::REWRITTEN, ['people', 'statements', 'expectations', 'vantage_sets'])] as $table) {
            $this->rowSaying($table, json_encode(['to' => 'Kaia Rønning <kaia@alder.test>', 'at' => 'https://x.test/?who=kaia%40alder.test&name='.urlencode('Kaia Rønning')], JSON_THROW_ON_ERROR));
            $this->rowSaying($table, 'Said by KAIA RøNNING (Kaia@Alder.Test)');
        }
        DB::table('people')->insert(['name' => 'Somebody', 'email' => 'x@alder.test', 'claimed_email' => 'kaia@alder.test']);
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'observe', 'observer' => $kaia->id, 'people' => [(string) $this->person('birk')->id]]);
        $this->post('/keep/people/acts', ['do' => 'write', 'subject' => 'For you', 'body' => 'Dear Kaia Rønning', 'people' => [(string) $kaia->id]]);
        $this->post('/sign-in/link', ['email' => 'kaia@alder.test']);
        Storage::put('mail/20260301-090000-x.mbox', "To: kaia@alder.test\n\nDear Kaia Rønning", 'private');
        $log = storage_path('logs/privacy-test.log');
        @mkdir(dirname($log), 0o755, true);
        file_put_contents($log, str_repeat('.', (1 << 20) - 5)."kaia@alder.test and Kaia Rønning\nwhat others did\n");
        self::assertNotSame([], $this->bytesNaming(self::NAMES));

        $this->erase($kaia);

        $erased = ErasedPerson::query()->sole();
        self::assertSame(['done', null, []], [$erased->state, $erased->sought, $erased->left]);
        self::assertSame(2, $erased->gone['log']);
        self::assertStringContainsString("\nwhat others did\n", (string) file_get_contents($log));
        unlink($log);
        if (! PgsqlSchools::areMeant()) {
            self::assertSame([], $this->bytesNaming(self::NAMES));
        }
    }

    public function test_all_is_counted_as_before_and_the_ledger_stays_whole(): void
    {
        $kaia = $this->person('kaia');
        $this->actingAs($this->person('hege'));
        $pages = ['/keep/courses/clinker/numbers', '/keep/courses/clinker/sightlines', '/keep/courses', '/keep/offers'];
        $anyone = static fn (string $text): string => preg_replace('/Kaia (Rønning|R\\\\u00f8nning)|kaia@alder\.test|Erased person \d+|erased-\d+@erased\.invalid/', '…', html_entity_decode($text)) ?? '';
        $counted = function () use ($pages, $anyone): array {
            $lines = explode("\n", $anyone($this->get('/keep/people.csv')->assertOk()->streamedContent()));
            sort($lines);

            return [...array_map(fn (string $page): string => $anyone((string) $this->get($page)->assertOk()->getContent()), $pages), $lines];
        };
        $before = $counted();

        $this->erase($kaia);
        $this->get('/keep/today');
        $this->inAnotherProcess();

        self::assertSame($before, $counted());
        self::assertSame([], app(VerifyLedger::class)()['findings']);
        self::assertSame([], array_filter(app(PresentTables::class)->differences(), static fn (Difference $one): bool => $one->count() > 0));
    }

    public function test_who_was_erased_is_let_in_nowhere_from_the_next_request_on(): void
    {
        $kaia = $this->person('kaia');
        DB::table('observer_ties')->insert(['observer_id' => $kaia->id, 'learner_id' => $this->person('birk')->id]);
        $kaia->forceFill(['password' => 'a long one indeed', 'calendar_token' => str_repeat('c', 40)])->save();
        $this->actingAs($kaia)->get('/courses')->assertOk();
        $this->post('/sign-in/link', ['email' => 'kaia@alder.test']);
        $link = $this->linkTo('kaia@alder.test');

        // Before the queue has looked for a single trace.
        config(['queue.default' => 'database']);
        $this->erase($kaia);
        $this->inAnotherProcess();
        auth()->forgetGuards();

        $this->post($link);
        self::assertGuest();
        foreach (['kaia@alder.test', "erased-{$kaia->id}@erased.invalid"] as $address) {
            $this->post('/sign-in', ['email' => $address, 'password' => 'a long one indeed']);
            self::assertGuest();
        }
        $this->get('/calendar/'.str_repeat('c', 40).'.ics')->assertNotFound();
        self::assertSame(0, DB::table('observer_ties')->where('observer_id', $kaia->id)->orWhere('learner_id', $kaia->id)->count());
    }

    public function test_who_was_erased_is_written_to_no_more(): void
    {
        $kaia = $this->person('kaia');
        $this->erase($kaia);
        foreach (['kaia@alder.test', "erased-{$kaia->id}@erased.invalid"] as $address) {
            $this->post('/sign-in/link', ['email' => $address]);
        }
        self::assertSame(0, DB::table('sign_in_links')->where('person_id', $kaia->id)->count());
        self::assertSame([], app(LetterChoices::class)->wanting(LetterKind::ByHand, [$kaia->id]));
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'write', 'subject' => 'For you', 'body' => 'Are you there?', 'people' => [(string) $kaia->id]]);
        app(Mailer::class)->send([new Letter($kaia->id, $kaia->refresh()->address(), 'For you', 'Are you there?')]);
        self::assertSame(0, DB::table('messages')->where('person_id', $kaia->id)->count());
        self::assertSame([], (array) $this->get('/keep/people/find?q=Erased')->json());
    }

    public function test_what_other_people_wrote_is_told_and_left_alone(): void
    {
        $course = $this->course();
        $post = DB::table('posts')->insertGetId(['course_id' => $course->id, 'item_key' => 'b', 'person_id' => $this->person('birk')->id, 'text' => 'As Kaia Rønning said', 'posted_at' => '2026-03-01 09:00:00']);

        $this->erase($this->person('kaia'));

        self::assertSame([['table' => 'posts', 'column' => 'text', 'row' => (string) $post]], ErasedPerson::query()->sole()->left);
        self::assertSame('As Kaia Rønning said', DB::table('posts')->where('id', $post)->value('text'));
        $page = $this->get("/keep/people/{$this->erased()}/data")->assertOk();
        self::assertTrue($page->inertiaProps('erased.done'));
        self::assertSame(["What somebody else said on a board, no. {$post}, Clinker planking"], $page->inertiaProps('erased.left'));
    }

    public function test_another_of_the_same_name_keeps_it(): void
    {
        $other = Person::query()->create(['name' => 'Kaia Rønning', 'email' => 'another@alder.test']);
        DB::table('messages')->insert(['person_id' => $other->id, 'to' => 'another@alder.test', 'subject' => 'Hello', 'body' => 'Dear Kaia Rønning', 'written_at' => '2026-03-01 09:00:00']);

        $this->erase($this->person('kaia'));

        self::assertSame('Dear Kaia Rønning', DB::table('messages')->where('person_id', $other->id)->value('body'));
        self::assertSame('Kaia Rønning', Person::query()->findOrFail($other->id)->name);
        self::assertContains('messages', array_column(ErasedPerson::query()->sole()->left, 'table'));
    }

    public function test_a_name_of_one_word_is_looked_for_where_it_is_all_of_a_text(): void
    {
        $may = Person::query()->create(['name' => 'May', 'email' => 'may@alder.test']);
        DB::table('activities')->insert([
            ['person_id' => $this->person('birk')->id, 'action' => 'observer.tied', 'after' => '{"observer":"May"}', 'happened_at' => '2026-03-01 09:00:00'],
            ['person_id' => $this->person('birk')->id, 'action' => 'message.written', 'after' => '{"subject":"Maybe in May"}', 'happened_at' => '2026-03-01 09:00:01'],
        ]);

        $this->erase($may);

        self::assertSame(["{\"observer\":\"Erased person {$may->id}\"}", '{"subject":"Maybe in May"}'], DB::table('activities')->where('person_id', $this->person('birk')->id)->whereIn('action', ['observer.tied', 'message.written'])->orderBy('id')->pluck('after')->all());
    }

    public function test_former_names_and_addresses_are_looked_for_too(): void
    {
        $kaia = $this->person('kaia');
        $this->actingAs($this->person('hege'))->put("/keep/people/{$kaia->id}", ['name' => 'Kaia Lund', 'email' => 'kaia@lund.test', 'from' => 'kaia@alder.test'])->assertSessionHasNoErrors();
        DB::table('imports')->insert(['kind' => 'csv', 'name' => 'from Kaia Rønning.csv', 'path' => '', 'options' => '{}', 'tally' => '{}', 'errors' => '["kaia@alder.test"]', 'made_at' => '2026-03-01 09:00:00', 'state' => 'gone']);

        $this->erase($kaia->refresh());

        self::assertSame(["from Erased person {$kaia->id}.csv", "[\"erased-{$kaia->id}@erased.invalid\"]"], array_values((array) DB::table('imports')->first(['name', 'errors'])));
    }

    public function test_staff_nobody_and_the_erased_are_not_erased(): void
    {
        $hege = $this->person('hege');
        $this->actingAs($hege)->delete("/keep/people/{$hege->id}", ['typed' => 'hege@alder.test'])->assertSessionHasErrors(['typed' => 'They work for the school: relieve them first, on the page of the staff.']);
        $kaia = $this->person('kaia');
        $this->delete("/keep/people/{$kaia->id}", ['typed' => 'kaia@alder'])->assertSessionHasErrors(['typed' => 'That is not their address.']);
        $this->delete('/keep/people/99999', ['typed' => 'kaia@alder.test'])->assertNotFound();
        self::assertSame(0, ErasedPerson::query()->count());
        $this->erase($kaia);
        $this->delete("/keep/people/{$kaia->id}", ['typed' => 'kaia@alder.test'])->assertSessionHasErrors(['typed' => 'They are erased already.']);
        $this->put("/keep/people/{$kaia->id}", ['name' => 'Kaia', 'email' => 'kaia@alder.test', 'from' => "erased-{$kaia->id}@erased.invalid"])->assertSessionHasErrors('email');
        self::assertSame(1, ErasedPerson::query()->count());
    }

    public function test_only_who_runs_the_school_may(): void
    {
        $kaia = $this->person('kaia');
        $this->actingAs($this->person('aksel'))->delete("/keep/people/{$kaia->id}", ['typed' => 'kaia@alder.test'])->assertForbidden();
        foreach (['data', 'data.zip'] as $page) {
            $this->get("/keep/people/{$kaia->id}/{$page}")->assertForbidden();
        }
        $this->actingAs($kaia)->delete("/keep/people/{$this->person('birk')->id}", ['typed' => 'birk@alder.test'])->assertNotFound();
        self::assertSame(0, ErasedPerson::query()->count());
    }

    public function test_it_goes_on_after_it_was_stopped_in_the_middle(): void
    {
        $kaia = $this->person('kaia');
        config(['queue.default' => 'database']);
        $this->erase($kaia);
        config(['queue.default' => 'sync']);
        DB::table('jobs')->delete();
        self::assertSame('waiting', ErasedPerson::query()->sole()->state);
        self::assertStringNotContainsString('Rønning', (string) DB::table('erased_people')->value('sought'));
        $this->travel(2)->days();
        self::assertSame(0, Artisan::call('keep:clean-up'));
        self::assertSame('done', ErasedPerson::query()->sole()->state);
    }

    public function test_a_list_that_is_being_brought_in_comes_to_its_end_first(): void
    {
        Storage::put('imports/x.csv', "email,name\nkaia@alder.test,Kaia Rønning\n", 'private');
        $import = DB::table('imports')->insertGetId(['kind' => 'csv', 'name' => 'x.csv', 'path' => 'imports/x.csv', 'options' => '{}', 'tally' => '{}', 'errors' => '[]', 'made_at' => '2026-03-01 09:00:00', 'state' => 'bringing in']);
        $this->erase($this->person('kaia'));
        self::assertSame('waiting', ErasedPerson::query()->sole()->state);
        self::assertTrue(Storage::exists('imports/x.csv'));
        DB::table('imports')->where('id', $import)->update(['state' => 'done']);
        RemoveTraces::dispatch(ErasedPerson::query()->sole()->id);
        self::assertSame('done', ErasedPerson::query()->sole()->state);
        self::assertFalse(Storage::exists('imports/x.csv'));
    }

    public function test_a_list_in_two_bytes_a_letter_is_found_too(): void
    {
        Storage::put('imports/y.csv', "\xff\xfe".mb_convert_encoding("email,name\nkaia@alder.test,Kaia\n", 'UTF-16LE', 'UTF-8'), 'private');
        DB::table('imports')->insert(['kind' => 'csv', 'name' => 'y.csv', 'path' => 'imports/y.csv', 'options' => '{}', 'tally' => '{}', 'errors' => '[]', 'made_at' => '2026-03-01 09:00:00', 'state' => 'ready']);
        $this->erase($this->person('kaia'));
        self::assertFalse(Storage::exists('imports/y.csv'));
    }

    public function test_it_is_done_at_the_machine_as_well(): void
    {
        self::assertSame(0, Artisan::call('keep:erase', ['person' => 'Kaia@alder.test', '--yes' => true]));
        self::assertSame('from the machine itself', $this->actingAs($this->person('hege'))->get("/keep/people/{$this->erased()}/data")->inertiaProps('erased.by'));
        self::assertSame(1, Artisan::call('keep:erase', ['person' => 'nobody@alder.test', '--yes' => true]));
    }

    private function erase(Person $person): void
    {
        $this->actingAs($this->person('hege'))->delete("/keep/people/{$person->id}", ['typed' => strtoupper($person->address())])->assertSessionHasNoErrors()->assertRedirect("/keep/people/{$person->id}/data");
    }

    private function erased(): int
    {
        return ErasedPerson::query()->sole()->person_id;
    }
}
