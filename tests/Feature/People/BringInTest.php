<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Models\Import;
use App\Models\Label;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SignInLink;
use App\People\Import\ContinueImport;
use App\People\Import\ImportInParts;
use App\People\Import\ReadPeopleFile;
use App\People\Import\StagedImport;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class BringInTest extends TestCase
{
    use ActsOnPeople;

    private const COLUMNS = ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3, 'start' => 4]];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
        $this->actingAs($this->person('hege'));
    }

    private function upload(string $content, string $name = 'people.csv'): Import
    {
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent($name, $content)])->assertSessionHasNoErrors();

        return Import::query()->latest('id')->firstOrFail();
    }

    /** @param  array<string, mixed>  $options */
    private function read(Import $import, array $options = self::COLUMNS): Import
    {
        $progress = $this->postJson("/keep/people/imports/{$import->id}/read", ['options' => $options])->assertOk();
        while ($progress->json('state') === 'reading') {
            $progress = $this->postJson("/keep/people/imports/{$import->id}/read", [])->assertOk();
        }

        return $import->refresh();
    }

    /** @return TestResponse<Response> */
    private function bringIn(Import $import): TestResponse
    {
        return $this->post("/keep/people/imports/{$import->id}");
    }

    /** @return list<int> people, passes, labels, letters, ties */
    private static function counts(): array
    {
        return [Person::query()->count(), Pass::query()->count(), Label::query()->count(), Message::query()->count(), ObserverTie::query()->count()];
    }

    public function test_columns_are_guessed_and_each_row_is_told_before_it_is_done(): void
    {
        $import = $this->upload("\xEF\xBB\xBFE-mail;Name;Pass;Tags;Start date\r\nalva@alder.test;Alva Ness;Apprentice pass;keen, oar-bonus;2026-03-20\r\nEIRA@alder.test;Eira H.;yard-trial;;\r\nalva@alder.test;Alva Ness;frames-pass;;2026-04-01 09:00\r\n");
        $page = $this->get("/keep/people/imports/{$import->id}")->assertOk();
        self::assertSame(['name' => 1, 'email' => 0, 'labels' => 3, 'offer' => 2, 'start' => 4, 'observes' => null], $page->inertiaProps('columns'));
        $before = self::counts();
        $import = $this->read($import, ['columns' => $page->inertiaProps('columns')]);
        self::assertSame(['ready', ['new' => 1, 'known' => 1, 'twice' => 1]], [$import->state, $import->tally]);
        $rows = $this->get("/keep/people/imports/{$import->id}")->inertiaProps('rows');
        self::assertIsArray($rows);
        self::assertSame(['new', 'known as Eira Holm, who keeps that name', 'once more'], array_column($rows, 'outcome'));
        self::assertSame('Apprentice pass from Fri 20 Mar, 00:00; labels keen, oar-bonus', $rows[0]['gets']);
        self::assertSame($before, self::counts());

        $this->bringIn($import)->assertRedirect("/keep/people/imports/{$import->id}");
        self::assertSame([$before[0] + 1, $before[1] + 3, $before[2] + 2, $before[3] + 2, 0], self::counts());
        $alva = $this->person('alva');
        self::assertSame(['2026-03-20 00:00', '2026-04-01 09:00'], Pass::query()->where('person_id', $alva->id)->orderBy('starts_at')->get()->map(static fn (Pass $pass): ?string => self::at($pass->starts_at))->all());
        self::assertSame('from people.csv', $this->pass('alva')->source);
        // Their history begins with how they came, once.
        $lines = DB::table('activities')->where('person_id', $alva->id)->orderBy('id')->get(['action', 'after'])->map(static fn (\stdClass $line): string => $line->action.(str_contains((string) $line->after, 'comes') ? ' comes' : ''))->all();
        self::assertSame(['pass.given comes', 'pass.given'], $lines);
        $this->get("/keep/people/{$alva->id}")->assertSee('Came in; Apprentice pass given from Fri 20 Mar, 00:00');
        self::assertSame('Eira Holm', $this->person('eira')->name);
    }

    public function test_new_people_get_a_link_that_works_once_and_others_hear_that_it_is_the_same_account(): void
    {
        $this->bringIn($this->read($this->upload("name,email,labels,offer,start\nAlva,alva@alder.test,,taster,\nEira,eira@alder.test,keen,,\n")));
        self::assertStringContainsString('the same account', Message::query()->where('to', 'eira@alder.test')->sole()->body);
        $link = $this->linkTo('alva@alder.test');
        $this->post('/sign-out');
        $this->get($link)->assertOk()->assertSee('Alva');
        $this->get($link)->assertOk()->assertSee('Alva');
        $this->post($link)->assertRedirect();
        $this->assertAuthenticatedAs($this->person('alva'));
        $this->post('/sign-out');
        $this->post($link);
        $this->assertGuest();
    }

    public function test_the_same_file_twice_changes_nothing(): void
    {
        $file = "name,email,labels,offer,start\nAlva,alva@alder.test,keen,apprentice-pass,2026-03-20\nBo,bo@alder.test,,yard-trial,\nEira,eira@alder.test,keen,,\n";
        $this->bringIn($this->read($this->upload($file)));
        $after = self::counts();
        $this->bringIn($this->read($this->upload($file)));
        self::assertSame($after, self::counts());
        self::assertSame(3, Import::query()->latest('id')->firstOrFail()->tally['unchanged']);
    }

    public function test_one_wrong_row_leaves_nothing_behind(): void
    {
        $rows = "name,email,labels,offer,start\n";
        for ($n = 0; $n < 1200; $n++) {
            $rows .= "Person {$n},p{$n}@many.test,,yard-trial,\n";
        }
        $before = self::counts();
        $import = $this->read($this->upload($rows."Broken,not an address,,,\nLost,lost@many.test,,no-offer,\nLate,late@many.test,,,tomorrow\n"));
        self::assertSame('refused', $import->state);
        self::assertSame([
            ['line' => 1202, 'message' => '“not an address” is not an e-mail address'],
            ['line' => 1203, 'message' => 'there is no offer “no-offer”'],
            ['line' => 1204, 'message' => '“tomorrow” is not a date such as 2026-03-09 or 2026-03-09 09:00'],
        ], $import->errors);
        $this->bringIn($import)->assertSessionHas('flash.kind', 'refused');
        self::assertSame($before, self::counts());
    }

    public function test_a_stop_in_mid_reading_is_gone_on_with(): void
    {
        $rows = "name,email,labels,offer,start\n";
        for ($n = 0; $n < 1700; $n++) {
            $rows .= "Person {$n},p{$n}@many.test,,,\n";
        }
        $import = $this->upload($rows);
        $reader = app(ReadPeopleFile::class);
        $reader->from($import, self::COLUMNS);
        $reader->read($import, 0.0);
        self::assertSame(['reading', 500], [$import->state, $import->rows]);
        $reader->read($import, 0.0);
        self::assertSame(1000, $import->rows);
        while ($import->state === 'reading') {
            $reader->read($import, 0.0);
        }
        self::assertSame(['ready', 1700, 1701], [$import->state, $import->rows, (int) DB::table('import_rows')->max('line')]);
    }

    public function test_a_stop_while_they_are_brought_in_is_gone_on_with_and_nobody_is_there_before_all_are(): void
    {
        $import = $this->read($this->upload($this->many(1700)));
        $before = self::counts();
        $staged = app(StagedImport::class);
        $staged->begin($import);
        self::assertTrue($staged->stageSome($import));
        self::assertTrue($staged->stageSome($import));
        $this->getJson("/keep/people/imports/{$import->id}/progress")->assertJson(['state' => 'bringing in', 'in' => 1000]);
        self::assertSame($before, self::counts());

        // The worker is killed here; another takes the job up, and a third one finds nothing to do.
        (new ContinueImport($import->id))->handle(app(ImportInParts::class));
        (new ContinueImport($import->id))->handle(app(ImportInParts::class));
        self::assertSame([$before[0] + 1700, $before[1] + 1700, $before[2] + 1700, $before[3] + 1700, 0], self::counts());
        self::assertSame(['done', ['new' => 1700, 'changed' => 0, 'unchanged' => 0, 'passes' => 1700, 'labels' => 1700, 'ties' => 0]], [$import->refresh()->state, $import->tally]);
        self::assertSame(0, DB::table('people')->join('passes', 'passes.person_id', '=', 'people.id')->where('passes.source', 'from people.csv')->whereRaw("people.email not like 'p%@many.test'")->count());
        foreach (['import_rows', 'import_people', 'import_passes', 'import_labels', 'import_ties'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
    }

    public function test_letters_stop_and_go_on_without_one_being_sent_twice(): void
    {
        $import = $this->read($this->upload($this->many(1200)));
        $before = Message::query()->count();
        $staged = app(StagedImport::class);
        $staged->begin($import);
        while ($staged->stageSome($import)) {
            // All of them.
        }
        $staged->putInForce($import);
        self::assertTrue($staged->writeSome($import));
        self::assertSame($before + 500, Message::query()->count());
        (new ContinueImport($import->id))->handle(app(ImportInParts::class));
        self::assertSame($before + 1200, Message::query()->count());
        self::assertSame(1200, SignInLink::query()->distinct()->count('person_id'));
    }

    public function test_somebody_who_comes_by_themselves_meanwhile_is_the_same_person(): void
    {
        $import = $this->read($this->upload($this->many(3)));
        $staged = app(StagedImport::class);
        $staged->begin($import);
        $staged->stageSome($import);
        // Opens an account, and gets the very pass, while the file waits.
        $this->post('/sign-out');
        $this->post('/checkout/tools-only', ['name' => 'Quick', 'email' => 'p1@many.test', 'item' => ''])->assertSessionHasNoErrors();
        $this->post($this->linkTo('p1@many.test'))->assertRedirect();
        $this->flushSession();
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'give', 'people' => [Person::query()->where('email', 'p1@many.test')->sole()->id], 'offer' => 'yard-trial'])->assertSessionHas('flash.kind', 'done');
        (new ContinueImport($import->id))->handle(app(ImportInParts::class));

        self::assertSame(['new' => 2, 'changed' => 1, 'unchanged' => 0, 'passes' => 2, 'labels' => 3, 'ties' => 0], $import->refresh()->tally);
        $quick = Person::query()->where('email', 'p1@many.test')->sole();
        self::assertSame(['Quick', 2], [$quick->name, Pass::query()->where('person_id', $quick->id)->count()]);
    }

    public function test_somebody_who_comes_later_gets_no_number_that_is_kept_for_the_file(): void
    {
        $import = $this->read($this->upload($this->many(3)));
        $staged = app(StagedImport::class);
        $staged->begin($import);
        $staged->stageSome($import);
        $late = Person::query()->create(['name' => 'Late', 'email' => 'late@elsewhere.test']);
        $staged->putInForce($import);
        self::assertSame('Late', $late->refresh()->name);
        self::assertSame(3, Person::query()->where('email', 'like', 'p%@many.test')->where('name', 'like', 'Person %')->count());
    }

    public function test_what_cannot_be_brought_in_is_told_and_leaves_nothing(): void
    {
        $import = $this->read($this->upload($this->many(3)));
        $before = self::counts();
        Offer::query()->where('key', 'yard-trial')->firstOrFail()->course->update(['live_revision_id' => null]);
        $this->bringIn($import);
        self::assertSame(['ready', 'What Yard trial opens is not published yet.'], [$import->refresh()->state, $import->problem]);
        self::assertSame($before, self::counts());
        self::assertSame(0, DB::table('import_people')->count());
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('problem', 'What Yard trial opens is not published yet.'));
    }

    private function many(int $rows): string
    {
        return "name,email,labels,offer,start\n".implode('', array_map(static fn (int $n): string => "Person {$n},p{$n}@many.test,keen,yard-trial,\n", range(0, $rows - 1)));
    }

    public function test_two_who_bring_the_same_file_in_at_once_bring_it_in_once(): void
    {
        $import = $this->read($this->upload("name,email,labels,offer,start\nAlva,alva@alder.test,,taster,\n"));
        $this->bringIn($import);
        $after = self::counts();
        $this->bringIn($import)->assertSessionHas('flash.kind', 'refused');
        self::assertSame($after, self::counts());
    }

    public function test_observers_are_tied_by_a_file_too(): void
    {
        $import = $this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test\"\nAlva,alva@alder.test,\nBad,bad@alder.test,nobody\n");
        $columns = ['columns' => ['name' => 0, 'email' => 1, 'observes' => 2]];
        self::assertSame('“nobody”, whom they are to look in on, is not an e-mail address', $this->read($import, $columns)->errors[0]['message']);
        $this->bringIn($this->read($this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test\"\nAlva,alva@alder.test,\n"), $columns));
        self::assertSame(2, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count());
    }

    public function test_addresses_are_the_same_whatever_their_case(): void
    {
        $columns = ['columns' => ['name' => 0, 'email' => 1, 'observes' => 2]];
        $before = Person::query()->count();
        $this->bringIn($this->read($this->upload("name,email,observes\nMor Ness,MOR@Alder.test,EIRA@ALDER.test\nMor again,mor@alder.TEST,\n"), $columns));
        self::assertSame($before + 1, Person::query()->count());
        self::assertSame($this->person('eira')->id, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->sole()->learner_id);
        $this->post('/keep/people', ['name' => 'Mor once more', 'email' => ' MOR@ALDER.test ', 'labels' => '', 'offer' => ''])->assertSessionHasErrors('email');
        $this->post('/sign-out');
        $links = SignInLink::query()->count();
        $this->post('/sign-in/link', ['email' => 'Mor@ALDER.test'])->assertSessionHasNoErrors();
        self::assertSame($links + 1, SignInLink::query()->count());
        $this->post('/sign-in', ['email' => 'Eira@Alder.Test', 'password' => 'larch-and-oak'])->assertSessionHasNoErrors();
        $this->assertAuthenticatedAs($this->person('eira'));
    }

    public function test_a_roster_brings_students_and_their_guardians_as_observers(): void
    {
        $import = $this->upload($this->bundle(), 'roster.zip');
        self::assertSame('oneroster', $import->kind);
        self::assertSame(['Planking, spring', 'Frames, spring'], $this->get("/keep/people/imports/{$import->id}")->inertiaProps('head'));
        $import = $this->read($import, ['classes' => ['c1' => 'apprentice-pass', 'c2' => '']]);
        self::assertSame(['ready', ['new' => 3, 'known' => 1]], [$import->state, $import->tally]);
        $this->bringIn($import);
        self::assertSame('2026-03-16 00:00', self::at($this->pass('alva')->starts_at));
        self::assertSame(['mor@alder.test'], ObserverTie::query()->with('observer')->get()->map(static fn (ObserverTie $tie): string => $tie->observer->email)->unique()->values()->all());
        self::assertSame(2, ObserverTie::query()->count());
        self::assertNull(Person::query()->where('email', 'teacher@alder.test')->first());
        $after = self::counts();
        $this->bringIn($this->read($this->upload($this->bundle(), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]));
        self::assertSame($after, self::counts());
    }

    private function bundle(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'roster');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        $zip->addFromString('manifest.csv', "propertyName,value\noneroster.version,1.1\n");
        $zip->addFromString('classes.csv', "sourcedId,status,title\nc1,,\"Planking, spring\"\nc2,,\"Frames, spring\"\nc3,tobedeleted,Old\n");
        $zip->addFromString('enrollments.csv', "sourcedId,status,classSourcedId,userSourcedId,role,beginDate\ne1,,c1,u1,student,2026-03-16\ne2,,c1,u2,student,\ne3,,c2,u1,student,\ne4,,c1,t1,teacher,\ne5,,c1,u4,student,\n");
        $zip->addFromString('users.csv', "sourcedId,status,role,givenName,familyName,email,agentSourcedIds\nu1,,student,Alva,Ness,alva@alder.test,\"g1\"\nu2,,student,Eira,Holm,Eira@alder.test,\"g1,g9\"\ng1,,guardian,Mor,Ness,mor@alder.test,\nt1,,teacher,Tea,Cher,teacher@alder.test,\nu3,tobedeleted,student,Gone,Away,gone@alder.test,\nu4,,student,Bo,Lie,bo@alder.test,\n");
        $zip->close();
        $content = (string) file_get_contents($path);
        unlink($path);

        return $content;
    }

    public function test_what_is_no_bundle_is_refused_at_the_field(): void
    {
        $this->post('/keep/people/imports', [])->assertSessionHasErrors(['file' => 'Please choose a file.']);
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('x.zip', "PK\x03\x04nonsense")])->assertSessionHasErrors('file');
    }

    public function test_one_is_brought_in_by_hand_and_nobody_twice(): void
    {
        $this->post('/keep/people', ['name' => 'Alva Ness', 'email' => 'Alva@alder.test', 'labels' => 'keen', 'offer' => 'yard-trial'])->assertSessionHasNoErrors();
        self::assertSame('2026-03-20 13:00', self::at($this->pass('alva')->ends_at));
        self::assertSame(1, Message::query()->where('to', 'alva@alder.test')->count());
        $this->post('/keep/people', ['name' => 'Alva again', 'email' => 'ALVA@alder.test '])->assertSessionHasErrors('email');
        $this->post('/keep/people', ['name' => '', 'email' => 'x'])->assertSessionHasErrors(['name', 'email']);
    }

    public function test_a_link_is_sent_to_who_asks_and_tells_nothing_of_who_is_known(): void
    {
        $this->post('/sign-out');
        $this->post('/sign-in/link', ['email' => 'eira@alder.test'])->assertSessionHas('flash.text', 'If the address is known here, a link to sign in is on its way.');
        $this->post('/sign-in/link', ['email' => 'nobody@alder.test'])->assertSessionHas('flash.text', 'If the address is known here, a link to sign in is on its way.');
        self::assertSame(1, Message::query()->count());
        $this->get('/sign-in/link/nothing')->assertOk()->assertSee('null', false);
    }
}
