<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Message;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SignInLink;
use App\People\Import\ContinueImport;
use App\People\Import\ImportInParts;
use App\People\Import\ImportLetters;
use App\People\Import\ReadPeopleFile;
use App\People\Import\StagedImport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** A file of people that is stopped on its way, or meets somebody else there. */
final class StoppedImportTest extends TestCase
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
        self::assertSame(['done', ['new' => 1700, 'changed' => 0, 'unchanged' => 0, 'passes' => 1700, 'labels' => 1700, 'ended' => 0, 'ties' => 0]], [$import->refresh()->state, $import->tally]);
        self::assertSame(0, DB::table('people')->join('passes', 'passes.person_id', '=', 'people.id')->where('passes.source', 'from people.csv')->whereRaw("people.email not like 'p%@many.test'")->count());
        self::assertSame(0, DB::table('import_rows')->count());
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
        self::assertTrue(app(ImportLetters::class)->writeSome($import));
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

        self::assertSame(['new' => 2, 'changed' => 1, 'unchanged' => 0, 'passes' => 2, 'labels' => 3, 'ended' => 0, 'ties' => 0], $import->refresh()->tally);
        $quick = Person::query()->where('email', 'p1@many.test')->sole();
        self::assertSame(['Quick', 2], [$quick->name, Pass::query()->where('person_id', $quick->id)->count()]);
    }

    public function test_somebody_who_comes_later_gets_no_number_that_is_kept_for_the_file(): void
    {
        $import = $this->read($this->upload($this->many(3)));
        $staged = app(StagedImport::class);
        $staged->begin($import);
        $staged->stageSome($import);
        $late = PersonFactory::new()->called('Late', 'late@elsewhere.test')->createOne();
        $staged->putInForce($import);
        self::assertSame('Late', $late->refresh()->name);
        self::assertSame(3, Person::query()->where('email', 'like', 'p%@many.test')->where('name', 'like', 'Person %')->count());
    }

    public function test_two_who_bring_the_same_file_in_at_once_bring_it_in_once(): void
    {
        $import = $this->read($this->upload("name,email,labels,offer,start\nAlva,alva@alder.test,,taster,\n"));
        $this->bringIn($import);
        $after = self::counts();
        $this->bringIn($import)->assertSessionHas('flash.kind', 'refused');
        self::assertSame($after, self::counts());
    }
}
