<?php

declare(strict_types=1);

namespace Tests\Privacy;

use App\Models\Person;
use App\Privacy\Held\Sections;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\TestCase;
use ZipArchive;

/** All that is kept of somebody, in one archive. */
final class TakeOutTest extends TestCase
{
    use LeavesTraces;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_it_holds_every_row_of_theirs_and_none_of_anybody_else(): void
    {
        $kaia = $this->person('kaia');
        foreach (Sections::all() as $section) {
            if (! in_array($section->table, ['people', 'ledger', 'erased_people', 'completions', 'statements', 'edited_courses'], true)) {
                $this->rowSaying($section->table, '{"said": "=somebody"}');
            }
        }
        foreach (Sections::all() as $section) {
            foreach (array_diff($section->by, ['id']) as $column) {
                // The newest row of each is theirs.
                $key = in_array('id', Schema::getColumnListing($section->table), true) ? 'id' : 'course_id';
                $newest = $section->table === 'ledger' || $column === 'learner_id' ? null : DB::table($section->table)->orderByDesc($key)->value($key);
                $newest === null || DB::table($section->table)->where($key, $newest)->update([$column => $kaia->id]);
            }
        }
        $files = $this->files("/keep/people/{$kaia->id}/data.zip", 'hege');
        $told = json_decode($files['person.json'], true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($told);
        foreach (Sections::all() as $section) {
            $rows = $section->handedOut ? DB::table($section->table)->where(static function ($query) use ($section, $kaia): void {
                array_map(static fn (string $column) => $query->orWhere($column, $kaia->id), $section->by);
            })->count() : 0;
            self::assertCount($rows, $told[$section->table] ?? [], $section->table);
            self::assertSame($rows > 0, isset($files["{$section->table}.csv"]), $section->table);
            foreach ($told[$section->table] ?? [] as $row) {
                self::assertSame([], array_values(array_intersect(array_keys($row), $section->secret)), $section->table);
            }
        }
        self::assertSame('Kaia Rønning', $told['people'][0]['name']);
        self::assertSame('clinker', $told['passes'][0]['course']);
        self::assertMatchesRegularExpression('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/', $told['passes'][0]['starts_at']);
        self::assertSame(['said' => '=somebody'], $told['outside_events'][0]['body']);
        self::assertStringContainsString('messages.csv: Letters (1)', $files['read-me.txt']);
        self::assertStringNotContainsString('Eira', implode('', $files));
    }

    /** The log names observers, and acts that were taken back. */
    public function test_it_names_nobody_else(): void
    {
        $kaia = $this->person('kaia');
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'observe', 'observer' => $this->person('eira')->id, 'people' => [(string) $kaia->id]])->assertSessionHasNoErrors();
        $this->post('/keep/people/acts/'.DB::table('people_acts')->max('id').'/undo')->assertSessionHasNoErrors();
        $files = $this->files('/account/data', 'kaia');
        self::assertStringContainsString('observer.tied', $files['activities.csv']);
        self::assertStringContainsString('act.undone', $files['activities.csv']);
        self::assertStringNotContainsString('Eira', implode('', $files));
    }

    public function test_a_spreadsheet_takes_no_cell_for_a_formula(): void
    {
        $kaia = $this->person('kaia');
        $kaia->update(['name' => '=1+1']);
        self::assertStringContainsString("'=1+1", $this->files("/keep/people/{$kaia->id}/data.zip", 'hege')['people.csv']);
    }

    public function test_they_take_it_out_themselves(): void
    {
        $files = $this->files('/account/data', 'kaia');
        self::assertStringContainsString('All that the school keeps of Kaia Rønning.', $files['read-me.txt']);
        self::assertArrayHasKey('completions.csv', $files);
        $this->person('kaia')->update(['language' => 'nb']);
        $this->inAnotherProcess();
        self::assertStringContainsString('Alt skolen har lagret om Kaia Rønning.', $this->files('/account/data', 'kaia')['read-me.txt']);
    }

    public function test_a_claimed_address_gives_nobody_what_went_to_it(): void
    {
        DB::table('messages')->insert(['to' => 'eira@alder.test', 'subject' => 'For Eira', 'body' => 'alone', 'written_at' => '2026-03-01 09:00:00']);
        $visitor = Person::query()->create(['name' => 'Somebody', 'email' => 'claimed-1', 'claimed_email' => 'eira@alder.test']);
        $this->actingAs($visitor->refresh());
        self::assertArrayNotHasKey('messages.csv', $this->archive('/account/data'));
        self::assertArrayHasKey('messages.csv', $this->files('/account/data', 'eira'));
    }

    public function test_nothing_is_left_of_it_on_the_machine(): void
    {
        $before = glob(sys_get_temp_dir().'/keep-'.getmypid().'-*') ?: [];
        $this->files('/account/data', 'kaia');
        self::assertSame($before, glob(sys_get_temp_dir().'/keep-'.getmypid().'-*') ?: []);
    }

    public function test_visitors_have_nothing_to_take_out(): void
    {
        $this->get('/account/data')->assertRedirect('/sign-in');
    }

    /** @return array<string, string> */
    private function files(string $address, string $by): array
    {
        $this->actingAs($this->person($by));

        return $this->archive($address);
    }

    /** @return array<string, string> */
    private function archive(string $address): array
    {
        $answer = $this->get($address)->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);
        $copy = tempnam(sys_get_temp_dir(), 'taken');
        ob_start();
        $answer->sendContent();
        file_put_contents($copy, (string) ob_get_clean());
        $zip = new ZipArchive;
        self::assertTrue($zip->open($copy, ZipArchive::CHECKCONS));
        $files = [];
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $files[(string) $zip->getNameIndex($entry)] = (string) $zip->getFromIndex($entry);
        }
        $zip->close();
        unlink($copy);

        return $files;
    }
}
