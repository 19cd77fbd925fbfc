<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\ImportRow;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** OneRoster 1.1 bundles as systems of pupils write them. */
final class RosterTest extends TestCase
{
    use ActsOnPeople;
    use BringsPeopleIn;

    private const MANIFEST = "propertyName,value\nmanifest.version,1.0\noneroster.version,1.1\nfile.users,bulk\nfile.classes,bulk\nfile.enrollments,bulk\nfile.orgs,absent\n";

    private const CLASSES = "sourcedId,status,dateLastModified,title\nc1,active,,Planking\n";

    private const ENROLMENTS = "sourcedId,status,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate\ne1,active,c1,s,u1,student,,2026-03-16,\ne2,active,c1,s,u2,student,,,2026-06-30\n";

    private const USERS = "sourcedId,status,enabledUser,orgSourcedIds,role,username,givenName,familyName,email,agentSourcedIds\nu1,active,true,s,student,alva,Alva,Ness,alva@alder.test,\nu2,active,true,s,student,bo,Bo,Lie,bo@alder.test,\n";

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
        foreach ([...['manifest.csv' => self::MANIFEST, 'classes.csv' => self::CLASSES, 'enrollments.csv' => self::ENROLMENTS, 'users.csv' => self::USERS], ...$files] as $name => $content) {
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
        self::assertSame($both, $this->looked(['users.csv' => "\xFF\xFE".mb_convert_encoding(self::USERS, 'UTF-16LE', 'UTF-8')]));
        self::assertSame($both, $this->looked(['users.csv' => str_replace(',', ';', self::USERS), 'enrollments.csv' => "sep=;\r\n".str_replace(',', ';', self::ENROLMENTS)]));
        self::assertSame($both, $this->looked(['users.csv' => "EMAIL,givenname,familyName,role,sourcedId\nalva@alder.test,Alva,Ness,student,u1\nbo@alder.test,Bo,Lie,student,u2\n"]));
        $latin = $this->looked(['users.csv' => mb_convert_encoding(str_replace('Alva,Ness', 'Åse,Brønn', self::USERS), 'Windows-1252', 'UTF-8')]);
        self::assertSame(['Åse Brønn', 'alva@alder.test'], $latin[1][0]);
    }

    public function test_the_manifest_says_which_files_are_there_and_of_which_version(): void
    {
        $upload = fn (array $files): mixed => $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('r.zip', self::bundle($files))]);
        $upload(['manifest.csv' => str_replace('1.1', '1.2', self::MANIFEST)])->assertSessionHasErrors(['file' => 'This bundle says that it is OneRoster 1.2; 1.1 is read.']);
        $upload(['users.csv' => null])->assertSessionHasErrors(['file' => 'The bundle has no users.csv.']);
        self::assertSame(['refused', [], [], []], $this->looked(['enrollments.csv' => null, 'manifest.csv' => str_replace('file.enrollments,bulk', 'file.enrollments,absent', self::MANIFEST)]));
        self::assertSame('ready', $this->looked(['manifest.csv' => null])[0]);
    }

    public function test_what_ends_access_is_told_and_not_done(): void
    {
        [$state, $people, $wrong, $passed] = $this->looked([
            'manifest.csv' => str_replace('file.enrollments,bulk', 'file.enrollments,delta', self::MANIFEST),
            'enrollments.csv' => self::ENROLMENTS."e3,tobedeleted,c1,s,u3,student,,,\ne4,active,c1,s,u4,student,,2025-01-07,2025-06-01\ne5,active,c1,s,u5,student,,,\n",
            'users.csv' => self::USERS."u3,active,true,s,student,c,Cato,Ruud,cato@alder.test,\nu4,active,true,s,student,d,Dina,Moe,dina@alder.test,\nu5,active,false,s,student,e,Elin,Dahl,elin@alder.test,\nu6,tobedeleted,true,s,student,f,Finn,Moe,finn@alder.test,\n",
        ]);
        self::assertSame(['ready', ['alva@alder.test', 'bo@alder.test'], []], [$state, array_column($people, 1), $wrong]);
        self::assertSame([
            'enrollments.csv: the enrolment of u3 is to be deleted. Passes are not taken by a file: end theirs under People',
            'enrollments.csv: the enrolment of u4 ended 2025-06-01, and gives no pass',
            'users.csv: the user u5 is not enabled, and is not brought in',
            'users.csv: the user u6 is to be deleted. Nobody is taken out by a file: end their passes under People',
        ], $passed);
        $import = \App\Models\Import::query()->latest('id')->firstOrFail();
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->has('passed', 4)->has('errors', 0)->where('read', 2)->where('outcomes', ['2 are new', '4 rows are passed over']));
        $this->bringIn($import);
        self::assertSame([1, 0], [Person::query()->where('email', 'alva@alder.test')->count(), Person::query()->where('email', 'cato@alder.test')->count()]);
    }

    public function test_guardians_are_told_from_both_sides_and_tied_to_whom_is_there(): void
    {
        $users = self::USERS."g1,active,true,s,parent,g,Mor,Ness,mor@alder.test,\"u1,u9\"\ng2,active,true,s,guardian,h,Far,Lie,far@alder.test,\nu9,active,true,s,student,i,Not,Enrolled,not@alder.test,g2\n";
        [, $people] = $this->looked(['users.csv' => $users]);
        // The only ward of the second one comes by nothing and is not here.
        self::assertSame(['alva@alder.test', 'bo@alder.test', 'mor@alder.test'], array_column($people, 1));
        self::assertSame(['alva@alder.test'], ImportRow::query()->where('email', 'mor@alder.test')->sole()->observes);
        $this->bringIn(\App\Models\Import::query()->latest('id')->firstOrFail());
        self::assertSame(1, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count());
        // A ward who is here already is looked in on, enrolled or not.
        [, $again] = $this->looked(['users.csv' => str_replace('not@alder.test', 'eira@alder.test', $users)]);
        self::assertContains('far@alder.test', array_column($again, 1));
    }

    public function test_a_second_enrolment_is_no_error_and_gives_nothing_twice(): void
    {
        $import = $this->read($this->upload(self::bundle(['enrollments.csv' => self::ENROLMENTS."e9,active,c1,s,u1,student,,2026-03-16,\n"]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        self::assertSame(['ready', ['new' => 2, 'twice' => 1]], [$import->state, $import->tally]);
        $this->bringIn($import);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('alva')->id)->count());
    }

    public function test_a_bad_date_is_told_with_its_line(): void
    {
        $import = $this->read($this->upload(self::bundle(['enrollments.csv' => str_replace('2026-03-16', 'soon', self::ENROLMENTS)]), 'roster.zip'), ['classes' => ['c1' => 'apprentice-pass']]);
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('state', 'refused')->where('errors', ['Line 2: enrollments.csv: “soon” is not a date.']));
    }
}
