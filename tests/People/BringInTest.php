<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Import;
use App\Models\LetterText;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SignInLink;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class BringInTest extends TestCase
{
    use ActsOnPeople;
    use BringsPeopleIn;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
        $this->actingAs($this->person('hege'));
    }

    public function test_who_gets_a_pass_is_written_to_where_the_school_has_no_letter_of_it(): void
    {
        LetterText::query()->where('kind', 'pass-given')->update(['on' => false]);
        $import = $this->upload("E-mail;Name;Pass\r\neira@alder.test;Eira Holm;yard-trial\r\n");
        $this->bringIn($this->read($import, ['columns' => ['name' => 1, 'email' => 0, 'labels' => null, 'offer' => 2, 'start' => null, 'observes' => null]]));
        self::assertSame('Something new for you', Message::query()->where('to', 'eira@alder.test')->value('subject'));
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
        // Of her new pass Eira is told by the letter that the school writes of passes, and by no other.
        self::assertSame([$before[0] + 1, $before[1] + 3, $before[2] + 2, $before[3] + 1, 0], self::counts());
        $alva = $this->person('alva');
        self::assertSame(['2026-03-20 00:00', '2026-04-01 09:00'], Pass::query()->where('person_id', $alva->id)->orderBy('starts_at')->get()->map(static fn (Pass $pass): ?string => self::at($pass->starts_at))->all());
        self::assertSame('from people.csv', $this->pass('alva')->source);
        // Their history begins with how they came, once.
        $lines = DB::table('activities')->where('person_id', $alva->id)->orderBy('id')->get(['action', 'after'])->map(static fn (\stdClass $line): string => $line->action.(str_contains((string) $line->after, 'comes') ? ' comes' : ''))->all();
        self::assertSame(['pass.given comes', 'pass.given'], $lines);
        $this->get("/keep/people/{$alva->id}")->assertSee('Came in; Apprentice pass given from Fri 20 Mar, 00:00');
        self::assertSame('Eira Holm', $this->person('eira')->name);
    }

    public function test_nobody_gets_a_pass_twice_that_they_hold_for_good_or_have_still_to_come(): void
    {
        Pass::query()->where('person_id', $this->person('eira')->id)->update(['ends_at' => null]);
        $held = Pass::query()->count();
        $this->bringIn($this->read($this->upload("name,email,labels,offer,start\nEira Holm,eira@alder.test,,apprentice-pass,\nBirk Solheim,birk@alder.test,,apprentice-pass,\n")));
        self::assertSame($held, Pass::query()->count());
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

    public function test_observers_are_tied_by_a_file_too(): void
    {
        $import = $this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test\"\nAlva,alva@alder.test,\nBad,bad@alder.test,nobody\n");
        $columns = ['columns' => ['name' => 0, 'email' => 1, 'observes' => 2]];
        self::assertSame('“nobody”, whom they are to look in on, is not an e-mail address', $this->read($import, $columns)->errors[0]['message']);
        $this->bringIn($this->read($this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test\"\nAlva,alva@alder.test,\n"), $columns));
        self::assertSame(2, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count());
    }

    public function test_observers_whom_a_file_ties_are_written_to_once_for_whom_is_new(): void
    {
        $columns = ['columns' => ['name' => 0, 'email' => 1, 'observes' => 2]];
        $this->bringIn($this->read($this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test\"\nAlva,alva@alder.test,\nSun,sun@alder.test,\"mor@alder.test; eira@alder.test\"\n"), $columns));
        $letters = static fn (): array => Message::query()->join('people', 'people.id', '=', 'messages.person_id')->where('subject', 'like', 'You can look in on%')->orderBy('messages.id')->get(['people.email', 'subject'])->map(static fn (Message $letter): string => "{$letter->getAttribute('email')}: {$letter->subject}")->all();
        self::assertSame(['mor@alder.test: You can look in on 2 learners', 'sun@alder.test: You can look in on 2 learners'], $letters());
        self::assertStringContainsString('Eira Holm: Clinker planking', (string) Message::query()->where('subject', 'You can look in on 2 learners')->first()?->body);
        // Again, with one more.
        $this->bringIn($this->read($this->upload("name,email,observes\nMor Ness,mor@alder.test,\"eira@alder.test; alva@alder.test; gro@alder.test\"\nSun,sun@alder.test,eira@alder.test\n"), $columns));
        self::assertSame(['mor@alder.test: You can look in on Gro Tangen'], array_slice($letters(), 2));
        // Whose pass has ended: there is no course to look at.
        self::assertMatchesRegularExpression('~\nGro Tangen\n +http~', (string) Message::query()->latest('id')->first()?->body);
        self::assertSame(0, DB::table('imports')->where(fn ($query) => $query->whereNotNull('lettered')->orWhereNotNull('lettered_observers'))->count(), 'Nobody is to be written to any more.');
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
        self::assertSame(['ready', ['new' => 3, 'known' => 1, 'passed' => 1]], [$import->state, $import->tally]);
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
