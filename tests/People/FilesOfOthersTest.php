<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\ImportRow;
use App\People\Import\TypedDates;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Lists of people as spreadsheet programs and databases of many countries write them. */
final class FilesOfOthersTest extends TestCase
{
    use BringsPeopleIn;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
        $this->actingAs($this->person('hege'));
    }

    private static function fileOf(string $name): string
    {
        return (string) file_get_contents(dirname(__DIR__)."/files/{$name}");
    }

    /**
     * @param  array<string, ?int>  $columns  as they are guessed
     * @param  list<string>  $head
     * @param  array<string, mixed>  $more  that is said of the file
     * @param  list<array{string, string, ?string}>  $people  names, addresses and beginnings
     */
    #[DataProvider('files')]
    public function test_a_file_is_read(string $file, array $columns, array $head, array $more, array $people): void
    {
        $import = $this->upload(self::fileOf($file), $file);
        $this->get("/keep/people/imports/{$import->id}")->assertOk()->assertInertia(fn (Page $page) => $page->where('head', $head)->where('columns', $columns));
        $import = $this->read($import, ['columns' => $columns, ...$more]);
        self::assertSame(['ready', [], null], [$import->state, $import->errors, $import->problem]);
        self::assertSame($people, ImportRow::query()->where('import_id', $import->id)->orderBy('id')->get()->map(static fn (ImportRow $row): array => [$row->name, $row->email, $row->starts_at?->setTimezone(new \DateTimeZone('Europe/Oslo'))->format('Y-m-d H:i')])->all());
    }

    /** @return array<string, array{string, array<string, ?int>, list<string>, array<string, mixed>, list<array{string, string, ?string}>}> */
    public static function files(): array
    {
        $none = ['name' => null, 'email' => null, 'labels' => null, 'offer' => null, 'start' => null, 'observes' => null];

        $ofSpreadsheets = array_map(static fn (string $file): array => [$file, [...$none, 'name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3, 'start' => 4], ['Name', 'E-Mail adresse', 'Etiketten', 'Angebot', 'Beginn'], ['dates' => 'mdy'], [
            ['Ness, Alva', 'alva@alder.test', '2026-03-16 00:00'], ['Björn Lie', 'bo@alder.test', null], ['Åse "Brønn"', 'ase@alder.test', '2026-04-01 09:30'],
        ]], ['of a spreadsheet program, UTF-8' => 'spreadsheet-utf8.csv', 'of a spreadsheet program, Windows-1252 with semicolons' => 'spreadsheet-ansi.csv', 'of a spreadsheet program, UTF-16 with tabs' => 'spreadsheet-utf16.csv']);

        return [
            ...$ofSpreadsheets,
            'UTF-16 with tabs' => ['people-utf16.txt', [...$none, 'name' => 0, 'email' => 1, 'offer' => 2, 'start' => 3], ['Navn', 'E-post', 'Tilbud', 'Startdato'], [], [
                ['Åse Brønn', 'ase@alder.test', '2026-03-20 00:00'], ['Øyvind Sørli', 'oyvind@alder.test', '2026-04-01 09:00'],
            ]],
            'semicolons, a line that says so, and Windows-1252' => ['people-sep.csv', [...$none, 'name' => 0, 'email' => 1, 'labels' => 2, 'start' => 3], ['Vollständiger Name', 'E-Mail-Adresse', 'Etiketten', 'Beginn'], ['dates' => 'dmy'], [
                ['Jörg Weiß', 'jorg@alder.test', '2026-04-03 00:00'], ['Anne Müller', 'anne@alder.test', '2026-03-20 00:00'],
            ]],
            'UTF-16 without a mark' => ['people-without-mark.csv', [...$none, 'name' => 0, 'email' => 1], ['nom', 'courriel'], [], [['Élise Côté', 'elise@alder.test', null]]],
        ];
    }

    public function test_a_date_that_could_be_two_days_is_asked_about(): void
    {
        $import = $this->upload(self::fileOf('people-sep.csv'));
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page
            ->where('dates.text', '03/04/2026')->where('dates.dayFirst', 'Fri 3 Apr, 00:00')->where('dates.monthFirst', 'Wed 4 Mar, 00:00')->where('dates.order', null));
        $columns = ['name' => 0, 'email' => 1, 'labels' => 2, 'start' => 3];
        $import = $this->read($import, ['columns' => $columns]);
        self::assertSame(['refused', '“03/04/2026” could be two days: say above which comes first in this file'], [$import->state, $import->errors[0]['message']]);
        // 20/03 can be one day only; as a month it is none.
        $import = $this->read($import, ['columns' => $columns, 'dates' => 'mdy']);
        self::assertSame(['refused', '“20/03/2026” is not a date such as 2026-03-09 or 2026-03-09 09:00'], [$import->state, $import->errors[0]['message']]);
        self::assertSame('ready', $this->read($import, ['columns' => $columns, 'dates' => 'dmy'])->state);
    }

    /** @param  array{?string, ?string, ?string}  $days  as nobody has said, with the day first, with the month first */
    #[DataProvider('dates')]
    public function test_a_date_is_this_day(string $text, array $days): void
    {
        self::assertSame($days, [TypedDates::wall($text, null), TypedDates::wall($text, 'dmy'), TypedDates::wall($text, 'mdy')]);
    }

    /** @return \Generator<string, array{string, array{?string, ?string, ?string}}> */
    public static function dates(): \Generator
    {
        $one = static fn (string $day): array => [$day, $day, $day];
        foreach (['2026-03-09' => '2026-03-09T00:00', '2026-03-09 09:00' => '2026-03-09T09:00', '2026-03-09T09:00:30' => '2026-03-09T09:00', '2026/3/9' => '2026-03-09T00:00', '9.3.2026' => '2026-03-09T00:00', '09. 03. 2026 9:05' => '2026-03-09T09:05', '3/3/2026' => '2026-03-03T00:00'] as $text => $day) {
            yield $text => [$text, $one($day)];
        }
        yield '3/9/2026' => ['3/9/2026', [null, '2026-09-03T00:00', '2026-03-09T00:00']];
        yield '30-09-2026' => ['30-09-2026', ['2026-09-30T00:00', '2026-09-30T00:00', null]];
        yield '09/30/2026 14:30' => ['09/30/2026 14:30', ['2026-09-30T14:30', null, '2026-09-30T14:30']];
        foreach (['30.2.2026', '2026-13-01', '9 Mar', '1/2/26', '2026-03-09 25:00', ''] as $text) {
            yield "no date: {$text}" => [$text, [null, null, null]];
        }
    }

    public function test_the_column_of_the_address_is_asked_for_once(): void
    {
        $import = $this->upload("a;b\nAlva;alva@alder.test\nBo;bo@alder.test\n");
        $this->postJson("/keep/people/imports/{$import->id}/read", ['options' => ['columns' => ['name' => 0, 'email' => null]]])->assertStatus(422)->assertJson(['message' => 'Choose the column with the e-mail address.']);
        self::assertSame('new', $import->refresh()->state);
        self::assertSame('ready', $this->read($import, ['columns' => ['name' => 0, 'email' => 1]])->state);
    }

    public function test_workbooks_are_refused_by_name(): void
    {
        foreach (['spreadsheet.ods', 'spreadsheet.xlsx', 'spreadsheet.xls'] as $name) {
            $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent($name, self::fileOf($name))])->assertSessionHasErrors(['file' => 'This is a workbook of a spreadsheet program. Save it as CSV (UTF-8) there, and choose that.']);
        }
        $book = tempnam(sys_get_temp_dir(), 'book').'.xlsx';
        foreach (['[Content_Types].xml' => '<Types/>', 'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet'] as $entry => $content) {
            $zip = new \ZipArchive;
            $zip->open($book, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            $zip->addFromString($entry, $content);
            $zip->close();
            $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.xlsx', (string) file_get_contents($book))])->assertSessionHasErrors(['file' => 'This is a workbook of a spreadsheet program. Save it as CSV (UTF-8) there, and choose that.']);
        }
        unlink($book);
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.xls', "\xD0\xCF\x11\xE0\xA1\xB1")])->assertSessionHasErrors('file');
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.csv', "name,email\0\n")])->assertSessionHasErrors(['file' => 'This is no text that could be read. Save it as CSV (UTF-8), and choose that.']);
        self::assertSame([], Storage::allFiles('imports'));
    }

    public function test_the_rows_that_are_wrong_come_back_as_a_file_with_the_reasons(): void
    {
        $import = $this->upload("name;email;from\nAlva;alva@alder.test;\nBo Ø;bo at alder;=1+1\n\nCato;cato@alder.test;soon\n");
        $import = $this->read($import, ['columns' => ['name' => 0, 'email' => 1, 'start' => 2]]);
        self::assertSame('refused', $import->state);
        $rows = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($this->get("/keep/people/imports/{$import->id}/refused.csv")->assertOk()->streamedContent(), "\r\n\u{FEFF}")));
        self::assertSame([
            ['Line', 'Why it is not brought in', 'name', 'email', 'from'],
            ['3', '“bo at alder” is not an e-mail address', 'Bo Ø', 'bo at alder', "'=1+1"],
            ['5', '“soon” is not a date such as 2026-03-09 or 2026-03-09 09:00', 'Cato', 'cato@alder.test', 'soon'],
        ], $rows);
        $this->actingAs($this->person('aksel'))->get("/keep/people/imports/{$import->id}/refused.csv")->assertForbidden();
    }
}
