<?php

declare(strict_types=1);

namespace Tests\People;

use App\Access\SchoolClock;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\ObserverTie;
use App\Models\Pass;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** OneRoster 1.1 bundles as systems of pupils write them. */
final class RosterTest extends TestCase
{
    use ActsOnPeople;
    use BringsPeopleIn;

    private static function file(string $name): string
    {
        return (string) file_get_contents(__DIR__."/../files/roster/{$name}.csv");
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
        $this->actingAs($this->person('hege'));
    }

    /** @param  array<string, ?string>  $files  where they are not as usual; null: not there */
    private static function bundle(array $files = [], string $folder = ''): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'roster');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ([...['manifest.csv' => self::file('manifest'), 'classes.csv' => self::file('classes'), 'enrollments.csv' => self::file('enrollments'), 'users.csv' => self::file('users')], ...$files] as $name => $content) {
            if ($content !== null) {
                $zip->addFromString($folder.$name, $content);
            }
        }
        $zip->close();
        $content = (string) file_get_contents($path);
        unlink($path);

        return $content;
    }

    /**
     * @param  array<string, ?string>  $files
     * @return array{string, list<array{string, string}>, list<string>, list<string>} state, names and addresses, what is wrong, what is passed over
     */
    private function looked(array $files = [], string $folder = ''): array
    {
        $import = $this->read($this->upload(self::bundle($files, $folder), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        $told = static fn (bool $passed): array => array_values(array_map(static fn (array $error): string => $error['message'], array_filter($import->errors, static fn (array $error): bool => ($error['passed'] ?? false) === $passed)));

        return [$import->state, array_values(ImportRow::query()->where('import_id', $import->id)->orderBy('id')->get()->map(static fn (ImportRow $row): array => [$row->name, $row->email])->all()), $told(false), $told(true)];
    }

    public function test_files_are_found_in_a_folder_and_read_in_any_encoding_order_and_separator(): void
    {
        $both = ['ready', [['Alva Ness', 'alva@alder.test'], ['Bo Lie', 'bo@alder.test']], [], []];
        self::assertSame($both, $this->looked());
        self::assertSame($both, $this->looked(folder: 'export 2026/'));
        self::assertSame($both, $this->looked(['users.csv' => "\xFF\xFE".mb_convert_encoding(self::file('users'), 'UTF-16LE', 'UTF-8')]));
        self::assertSame($both, $this->looked(['users.csv' => str_replace(',', ';', self::file('users')), 'enrollments.csv' => "sep=;\r\n".str_replace(',', ';', self::file('enrollments'))]));
        self::assertSame($both, $this->looked(['users.csv' => "EMAIL,givenname,familyName,role,sourcedId\nalva@alder.test,Alva,Ness,student,u1\nbo@alder.test,Bo,Lie,student,u2\n"]));
        $latin = $this->looked(['users.csv' => mb_convert_encoding(str_replace('Alva,Ness', 'Åse,Brønn', self::file('users')), 'Windows-1252', 'UTF-8')]);
        self::assertSame(['Åse Brønn', 'alva@alder.test'], $latin[1][0]);
    }

    public function test_the_manifest_says_which_files_are_there_and_of_which_version(): void
    {
        $upload = fn (array $files): mixed => $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('r.zip', self::bundle($files))]);
        $upload(['manifest.csv' => str_replace('1.1', '1.2', self::file('manifest'))])->assertSessionHasErrors(['file' => 'This bundle says that it is OneRoster 1.2; 1.1 is read.']);
        $upload(['users.csv' => null])->assertSessionHasErrors(['file' => 'The bundle has no users.csv.']);
        self::assertSame(['refused', [], [], []], $this->looked(['enrollments.csv' => null, 'manifest.csv' => str_replace('file.enrollments,bulk', 'file.enrollments,absent', self::file('manifest'))]));
        self::assertSame('ready', $this->looked(['manifest.csv' => null])[0]);
    }

    /** Cato, Dina, Elin and Finn hold what an earlier bundle gave; Dina also something that was given by hand. */
    private function held(): void
    {
        $enrolments = $users = '';
        foreach (['c' => 'Cato', 'd' => 'Dina', 'e' => 'Elin', 'f' => 'Finn'] as $id => $name) {
            $users .= "{$id},active,true,s,student,{$id},{$name},Moe,".strtolower($name)."@alder.test,\n";
            $enrolments .= "n{$id},active,c1,s,{$id},student,,,\n";
        }
        $import = $this->read($this->upload(self::bundle(['users.csv' => self::headOf(self::file('users')).$users, 'enrollments.csv' => self::headOf(self::file('enrollments')).$enrolments]), 'autumn.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        $this->bringIn($import);
        $this->act('give', ['dina'], ['offer' => 'yard-trial']);
    }

    private static function headOf(string $csv): string
    {
        return strstr($csv, "\n", true)."\n";
    }

    private const OVER = "e3,tobedeleted,c1,s,c,student,,,\ne4,active,c1,s,d,student,,2025-01-07,2025-06-01\ne5,active,c1,s,e,student,,,\ne6,tobedeleted,c1,s,x,student,,,\ne7,tobedeleted,c1,s,z,student,,,\n";

    private const GONE = "c,active,true,s,student,c,Cato,Moe,cato@alder.test,\nd,active,true,s,student,d,Dina,Moe,dina@alder.test,\ne,active,false,s,student,e,Elin,Moe,elin@alder.test,\nf,tobedeleted,true,s,student,f,Finn,Moe,finn@alder.test,\nx,active,true,s,student,x,Never,Here,never@alder.test,\ng,tobedeleted,true,s,guardian,g,Mor,Moe,mor@alder.test,\n";

    /** @return array<array-key, ?string> when what they hold of files ends, by first name; null: never */
    private static function ends(): array
    {
        return Pass::query()->whereNotNull('import_id')->with('person')->orderBy('person_id')->get()->mapWithKeys(static fn (Pass $pass): array => [(string) strtok($pass->person->name, ' ') => $pass->ends_at?->format('Y-m-d H:i')])->all();
    }

    public function test_what_ends_access_is_shown_first_and_ends_what_files_gave(): void
    {
        $this->held();
        $before = self::ends();
        [$state, $people, $wrong, $passed] = $this->looked([
            'manifest.csv' => str_replace('file.enrollments,bulk', 'file.enrollments,delta', self::file('manifest')),
            'enrollments.csv' => self::file('enrollments').self::OVER,
            'users.csv' => self::file('users').self::GONE,
        ]);
        self::assertSame(['ready', ['cato@alder.test', 'dina@alder.test', 'elin@alder.test', 'finn@alder.test', 'alva@alder.test', 'bo@alder.test'], []], [$state, array_column($people, 1), $wrong]);
        self::assertEqualsCanonicalizing([
            'enrollments.csv: the enrolment of x is to be deleted, and never@alder.test holds nothing that a file gave',
            'enrollments.csv: the enrolment of z is to be deleted, and users.csv has no e-mail address to know them by',
            'users.csv: the user g is to be deleted; whom they look in on is taken from them under People',
        ], $passed);
        self::assertSame($before, self::ends(), 'Looked at only.');
        $import = Import::query()->latest('id')->firstOrFail();
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->has('passed', 3)->has('errors', 0)->where('classes', ['c1' => 'apprentice-pass'])->where('outcomes', ['2 are new', '4 passes end', '3 rows are passed over'])->where('rows.0.gets', 'Apprentice pass ends'));
        $this->bringIn($import);
        $ends = self::ends();
        self::assertSame(['2026-03-10 12:00'], array_values(array_unique([$ends['Cato'], $ends['Dina'], $ends['Elin'], $ends['Finn']])));
        self::assertSame(4, $import->refresh()->tally['ended']);
        // What was given by hand is not for a file to end.
        self::assertTrue(Pass::query()->where('person_id', $this->person('dina')->id)->whereNull('import_id')->sole()->ends_at > new \DateTimeImmutable('2026-03-10 12:00:00 UTC'));
        $this->get("/keep/people/{$this->person('cato')->id}")->assertSee('Apprentice pass ended');
    }

    public function test_what_was_given_by_hand_is_for_no_file_to_end(): void
    {
        // Eira holds this very pass, by hand.
        [$state, $people, , $passed] = $this->looked(['enrollments.csv' => self::file('enrollments')."e3,tobedeleted,c1,s,x,student,,,\n", 'users.csv' => self::file('users')."x,active,true,s,student,x,Eira,Holm,eira@alder.test,\n"]);
        self::assertSame(['ready', ['alva@alder.test', 'bo@alder.test'], ['enrollments.csv: the enrolment of x is to be deleted, and eira@alder.test holds nothing that a file gave']], [$state, array_column($people, 1), $passed]);
    }

    public function test_by_choice_nothing_ends(): void
    {
        $this->held();
        $import = $this->read($this->upload(self::bundle(['enrollments.csv' => self::file('enrollments').self::OVER, 'users.csv' => self::file('users').self::GONE]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass'], 'endings' => 'left']);
        self::assertSame(['new' => 2, 'passed' => 7], $import->tally);
        self::assertContains('enrollments.csv: the enrolment of c is to be deleted, and by your choice cato@alder.test keeps what they have', array_column($import->errors, 'message'));
        $before = self::ends();
        $this->bringIn($import);
        self::assertSame($before, array_intersect_key(self::ends(), $before));
    }

    public function test_whoever_is_enrolled_in_another_class_of_the_same_offer_loses_nothing(): void
    {
        $this->held();
        $import = $this->read($this->upload(self::bundle(['classes.csv' => self::file('classes')."c2,active,,Planking II\n", 'enrollments.csv' => self::file('enrollments')."e3,tobedeleted,c1,s,c,student,,,\ne4,active,c2,s,c,student,,,\n", 'users.csv' => self::file('users').self::GONE]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass', 'c2' => 'apprentice-pass']]);
        self::assertSame(0, ImportRow::query()->where('import_id', $import->id)->where('email', 'cato@alder.test')->where('takes', true)->count());
    }

    public function test_an_enrolment_that_ends_sooner_than_the_offer_ends_the_pass(): void
    {
        $this->held();
        $enrolments = self::headOf(self::file('enrollments'))."e1,active,c1,s,u1,student,,2026-03-16,2026-04-01\ne2,active,c1,s,u2,student,,2026-03-16,2046-04-01\ne3,active,c1,s,c,student,,,2026-04-02\ne4,active,c1,s,d,student,,,2046-04-02\ne5,active,c1,s,x,student,,2026-05-02,2026-05-02\n";
        [, , $wrong, $passed] = $this->looked(['enrollments.csv' => $enrolments, 'users.csv' => self::file('users').self::GONE]);
        self::assertSame([[], 'enrollments.csv: it ends 2026-05-02, before it begins 2026-05-02'], [$wrong, $passed[0] ?? '']);
        $import = Import::query()->latest('id')->firstOrFail();
        $offer = self::ends()['Dina'];
        self::assertNotNull($offer);
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('rows', fn (Collection $rows): bool => $rows->pluck('gets', 'email')->all() == [
            'elin@alder.test' => 'Apprentice pass ends', 'finn@alder.test' => 'Apprentice pass ends',
            'alva@alder.test' => 'Apprentice pass from Mon 16 Mar, 00:00 until Wed 1 Apr, 00:00 at the latest', 'bo@alder.test' => 'Apprentice pass from Mon 16 Mar, 00:00 until Sun 1 Apr 2046, 00:00 at the latest',
            'cato@alder.test' => 'Apprentice pass ends Thu 2 Apr, 00:00 instead of '.app(SchoolClock::class)->words((int) strtotime("{$offer} UTC")),
            'dina@alder.test' => 'Apprentice pass, held until '.app(SchoolClock::class)->words((int) strtotime("{$offer} UTC")).': the later end Mon 2 Apr 2046, 00:00 is not taken over',
        ]));
        $this->bringIn($import);
        $ends = self::ends();
        self::assertSame(['2026-03-31 22:00', '2026-04-01 22:00', $offer], [$ends['Alva'], $ends['Cato'], $ends['Dina']]);
        self::assertLessThan('2046-01-01', $ends['Bo']);
    }

    public function test_guardians_are_told_from_both_sides_and_tied_to_whom_is_there(): void
    {
        $users = self::file('users')."g1,active,true,s,parent,g,Mor,Ness,mor@alder.test,\"u1,u9\"\ng2,active,true,s,guardian,h,Far,Lie,far@alder.test,\nu9,active,true,s,student,i,Not,Enrolled,not@alder.test,g2\n";
        [, $people] = $this->looked(['users.csv' => $users]);
        // The only ward of the second one comes by nothing and is not here.
        self::assertSame(['alva@alder.test', 'bo@alder.test', 'mor@alder.test'], array_column($people, 1));
        self::assertSame(['alva@alder.test'], ImportRow::query()->where('email', 'mor@alder.test')->sole()->observes);
        $this->bringIn(Import::query()->latest('id')->firstOrFail());
        self::assertSame(1, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count());
        // A ward who is here already is looked in on, enrolled or not.
        [, $again] = $this->looked(['users.csv' => str_replace('not@alder.test', 'eira@alder.test', $users)]);
        self::assertContains('far@alder.test', array_column($again, 1));
    }

    public function test_a_second_enrolment_is_no_error_and_gives_nothing_twice(): void
    {
        $import = $this->read($this->upload(self::bundle(['enrollments.csv' => self::file('enrollments')."e9,active,c1,s,u1,student,,2026-03-16,\n"]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        self::assertSame(['ready', ['new' => 2, 'twice' => 1]], [$import->state, $import->tally]);
        $this->bringIn($import);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('alva')->id)->count());
    }

    public function test_a_bad_date_is_told_with_its_line(): void
    {
        $import = $this->read($this->upload(self::bundle(['enrollments.csv' => str_replace('2026-03-16', 'soon', self::file('enrollments'))]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('state', 'refused')->where('errors', ['Line 2: enrollments.csv: “soon” is not a date.']));
    }
}
