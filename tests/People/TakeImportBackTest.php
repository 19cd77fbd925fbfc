<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Activity;
use App\Models\Import;
use App\Models\Label;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use App\People\Import\Back\ContinueTakingBack;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\Back\TakingImportBack;
use App\People\Import\ContinueImport;
use App\People\Import\ImportInParts;
use App\People\Import\StagedImport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** What a file brought is taken back in one step: all that is still as the file left it. */
final class TakeImportBackTest extends TestCase
{
    use ActsOnPeople;
    use BringsPeopleIn;

    private const FILE = "name,email,labels,offer,start,observes\nAlva Ness,alva@alder.test,keen,yard-trial,,\nBo Lie,bo@alder.test,,yard-trial,,\nEira,eira@alder.test,keen,,,\nMor Ness,mor@alder.test,,,,alva@alder.test\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
        $this->actingAs($this->person('hege'));
    }

    private function broughtIn(string $file = self::FILE): Import
    {
        $import = $this->read($this->upload($file), ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3, 'start' => 4, 'observes' => 5]]);
        $this->bringIn($import);

        return $import->refresh();
    }

    private function takeBack(Import $import): void
    {
        $this->delete("/keep/people/imports/{$import->id}")->assertRedirect("/keep/people/imports/{$import->id}");
        $import->refresh();
    }

    public function test_all_that_it_brought_goes_and_nothing_else(): void
    {
        $before = self::counts();
        $import = $this->broughtIn();
        self::assertSame([$before[0] + 3, $before[1] + 2, $before[2] + 2, $before[4] + 1], array_values(array_diff_key(self::counts(), [3 => 0])));
        $letters = self::counts()[3];
        $this->getJson("/keep/people/imports/{$import->id}/back")->assertExactJson([
            'goes' => ['2 passes that it gave', '2 labels that it gave', '1 observer that it tied', '3 people who came by it, have not been here yet and have nothing else'], 'stays' => [],
        ]);
        $this->takeBack($import);

        self::assertSame([$before[0], $before[1], $before[2], $letters, $before[4]], self::counts());
        self::assertSame(['taken back', ['back_passes' => 2, 'back_labels' => 2, 'back_endings' => 0, 'back_ties' => 1, 'back_stay' => 0, 'back_people' => 3]], [$import->state, $import->tally]);
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('state', 'taken back')->where('canBeTakenBack', null)->where('outcomes', ['2 passes were taken back', '2 labels were taken back', '1 observer was untied', '3 people are here no more']));
        $this->get("/keep/people/{$this->person('eira')->id}")->assertSee('What people.csv brought was taken back');
        foreach (StagedImport::TABLES as $table) {
            self::assertSame(0, DB::table($table)->where('import_id', $import->id)->count(), $table);
        }
    }

    public function test_what_was_changed_since_stays_and_so_does_whoever_has_been_here(): void
    {
        $import = $this->broughtIn();
        $this->act('extend', ['alva'], ['offer' => 'yard-trial', 'days' => 3])->assertSessionHas('flash.kind', 'done');
        $this->post('/sign-out');
        $this->post($this->linkTo('bo@alder.test'))->assertRedirect();
        $this->flushSession();
        $this->actingAs($this->person('hege'));
        $this->getJson("/keep/people/imports/{$import->id}/back")->assertExactJson([
            'goes' => ['1 pass that it gave', '2 labels that it gave', '1 observer that it tied', '1 person who came by it, has not been here yet and has nothing else'],
            'stays' => ['1 thing that it brought has been changed since, and stays as it is now', '2 people who came by it stay: they have been here, or have something else'],
        ]);
        $this->takeBack($import);
        self::assertSame(['Alva Ness', 'Bo Lie', null], array_map(static fn (string $email): mixed => Person::query()->where('email', $email)->value('name'), ['alva@alder.test', 'bo@alder.test', 'mor@alder.test']));
        self::assertSame([1, 0], [Pass::query()->where('person_id', $this->person('alva')->id)->count(), Pass::query()->where('person_id', $this->person('bo')->id)->count()]);
        self::assertSame(0, Label::query()->where('person_id', $this->person('alva')->id)->count());
        $this->get("/keep/people/{$this->person('bo')->id}")->assertSee('taken back, which came from people.csv');
    }

    public function test_whoever_was_seen_stays_though_their_link_was_never_used(): void
    {
        $import = $this->broughtIn();
        Person::query()->where('email', 'mor@alder.test')->update(['seen_at' => '2026-03-10 12:00:00']);
        $this->takeBack($import);
        self::assertSame([1, 2], [Person::query()->where('email', 'mor@alder.test')->count(), $import->tally['back_people']]);
    }

    public function test_whoever_was_tied_anew_by_hand_stays_tied(): void
    {
        $import = $this->broughtIn();
        ObserverTie::query()->where('observer_id', $this->person('mor')->id)->update(['created_at' => '2026-03-10 12:00:01']);
        $this->takeBack($import);
        self::assertSame([1, 1], [ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count(), $import->tally['back_stay']]);
    }

    public function test_what_it_ended_goes_on_as_before(): void
    {
        $import = $this->broughtIn();
        $pass = Pass::query()->where('person_id', $this->person('alva')->id)->sole();
        $ending = Import::query()->create([...$import->only(['author_id', 'kind', 'path', 'options', 'made_at']), 'name' => 'end.zip', 'state' => 'bringing in', 'tally' => [], 'errors' => []]);
        $ending->rows()->create(['line' => 2, 'email' => 'alva@alder.test', 'name' => 'Alva', 'labels' => [], 'offer_id' => $pass->offer_id, 'takes' => true, 'observes' => []]);
        (new ContinueImport($ending->id))->handle(app(ImportInParts::class));
        self::assertNotEquals($pass->ends_at, $pass->refresh()->ends_at);
        $ended = $pass->ends_at;
        $this->getJson("/keep/people/imports/{$ending->id}/back")->assertJson(['goes' => ['1 pass that it ended goes on as before'], 'stays' => []]);
        $this->takeBack($ending->refresh());
        self::assertGreaterThan($ended, $pass->refresh()->ends_at);
        self::assertSame(1, Activity::query()->where('action', 'pass.goes-on')->count());
        // Alva came by the first file, which can be taken back as before.
        $this->takeBack($import);
        self::assertSame([0, 3], [Pass::query()->whereKey($pass->id)->count(), $import->tally['back_people']]);
    }

    public function test_what_it_ended_and_was_changed_since_stays(): void
    {
        $import = $this->broughtIn();
        $pass = Pass::query()->where('person_id', $this->person('alva')->id)->sole();
        $ending = Import::query()->create([...$import->only(['author_id', 'kind', 'path', 'options', 'made_at']), 'name' => 'end.zip', 'state' => 'bringing in', 'tally' => [], 'errors' => []]);
        $ending->rows()->create(['line' => 2, 'email' => 'alva@alder.test', 'name' => 'Alva', 'labels' => [], 'offer_id' => $pass->offer_id, 'takes' => true, 'observes' => []]);
        (new ContinueImport($ending->id))->handle(app(ImportInParts::class));
        $this->act('extend', ['alva'], ['offer' => 'yard-trial', 'days' => 3])->assertSessionHas('flash.kind', 'done');
        $ends = $pass->refresh()->ends_at;
        $this->takeBack($ending->refresh());
        self::assertEquals([$ends, 1], [$pass->refresh()->ends_at, $ending->tally['back_stay']]);
    }

    public function test_letters_that_are_not_sent_yet_are_not_sent(): void
    {
        $import = $this->read($this->upload($this->many(3)));
        Queue::fake();
        $staged = app(StagedImport::class);
        $staged->begin($import);
        $staged->stageSome($import);
        $staged->putInForce($import);
        $letters = Message::query()->count();
        $this->takeBack($import);
        (new ContinueTakingBack($import->id))->handle(app(TakingImportBack::class));
        (new ContinueImport($import->id))->handle(app(ImportInParts::class));
        self::assertSame([$letters, 'taken back'], [Message::query()->count(), $import->refresh()->state]);
    }

    public function test_it_is_taken_back_once_and_a_stop_in_the_middle_is_gone_on_with(): void
    {
        $before = self::counts();
        $import = $this->broughtIn($this->many(700));
        Queue::fake();
        $this->takeBack($import);
        $this->delete("/keep/people/imports/{$import->id}")->assertSessionHas('flash.kind', 'refused');
        Queue::assertPushed(ContinueTakingBack::class, 1);
        $back = app(TakingImportBack::class);
        $back->takeBack($import);
        self::assertTrue($back->letSomeGo($import));
        // The worker is killed here. The page says that it is going on; another takes the job up.
        $this->getJson("/keep/people/imports/{$import->id}/progress")->assertJson(['state' => 'taking back']);
        self::assertSame($before[1], Pass::query()->count());
        (new ContinueTakingBack($import->id))->handle($back);
        self::assertSame([$before[0], 700], [Person::query()->count(), $import->refresh()->tally['back_people']]);
        $this->getJson("/keep/people/imports/{$import->id}/progress")->assertJson(['state' => 'taken back']);
    }

    public function test_whoever_another_file_is_bringing_something_stays(): void
    {
        $import = $this->broughtIn();
        $other = $this->read($this->upload("name,email,labels,offer,start\nBo,bo@alder.test,,tools-only,\n", 'more.csv'));
        $staged = app(StagedImport::class);
        $staged->begin($other);
        $staged->stageSome($other);
        $this->takeBack($import);
        self::assertSame(2, $import->tally['back_people']);
        $staged->putInForce($other);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('bo')->id)->count());
    }

    public function test_after_a_month_it_cannot_be_taken_back(): void
    {
        $import = $this->broughtIn();
        $this->travel(TakeImportBack::DAYS + 1)->days();
        $this->artisan('keep:clean-up');
        $this->getJson("/keep/people/imports/{$import->id}/back")->assertNotFound();
        $this->delete("/keep/people/imports/{$import->id}")->assertSessionHas('flash.kind', 'refused');
        self::assertSame('done', $import->refresh()->state);
        $this->get("/keep/people/imports/{$import->id}")->assertInertia(fn (Page $page) => $page->where('canBeTakenBack', null));
    }

    public function test_an_assistant_may_not(): void
    {
        $import = $this->broughtIn();
        $this->actingAs(Person::query()->where('role', 'assistant')->firstOrFail());
        $this->getJson("/keep/people/imports/{$import->id}/back")->assertForbidden();
        $this->delete("/keep/people/imports/{$import->id}")->assertForbidden();
        self::assertSame(1, ObserverTie::query()->where('observer_id', $this->person('mor')->id)->count());
    }
}
