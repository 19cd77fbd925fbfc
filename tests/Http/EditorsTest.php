<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Access\Viewers;
use App\Models\Activity;
use App\Models\BoardPost;
use App\Models\Draft;
use App\Models\Message;
use App\Models\Person;
use App\Models\Revision;
use App\Models\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** Who edits some courses, and who looks on; who is given which role, and who is left to run the school. */
final class EditorsTest extends TestCase
{
    use EditsDrafts;

    private Person $editor;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->editor = PersonFactory::new()->createOne(['name' => 'Brage Lien', 'email' => 'brage@alder.test', 'role' => Role::Editor])->refresh();
        DB::table('edited_courses')->insert(['person_id' => $this->editor->id, 'course_id' => $this->course()->id]);
    }

    private function address(string $uri, string $course): string
    {
        return '/'.preg_replace(['/\{course\}/', '/\{item\?\}/', '/\{what\}/', '/\{subject\}/', '/\{name\}/', '/\{import\}/', '/\{\w+\}/'], [$course, 'l-planes', 'poster', str_repeat('0', 32), 'why.png', '1', (string) $this->person('eira')->id], $uri);
    }

    public function test_an_editor_sees_all_of_their_courses_and_nothing_else_of_this_side(): void
    {
        $this->actingAs($this->editor);
        // There is something to be rehearsed.
        $this->edit(0, 'sample', ['l-steam'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $name = (string) $route->getName();
            if (! str_starts_with($route->uri(), 'keep/') || ! in_array('GET', $route->methods(), true)) {
                continue;
            }
            $isOfCourse = str_contains($route->uri(), '{course}') && $name !== 'keep.people.rows';
            $theirs = $isOfCourse || in_array($name, ['keep.today', 'keep.courses', 'keep.guide', 'keep.guide.picture', 'keep.find', 'keep.find.rows', 'keep.pictures', 'keep.people.rows'], true);
            $query = '?v[]=visitor&item=l-planes&first=2027-01-01';
            // Where an address names something that is not there, that is found first.
            self::assertContains($this->get($this->address($route->uri(), 'clinker').$query)->getStatusCode(), $theirs ? [200] : [403, 404], $route->uri());
            if (str_contains($route->uri(), '{course}')) {
                $this->get($this->address($route->uri(), 'steam-frames').$query)->assertForbidden();
                $tried++;
            }
        }
        self::assertGreaterThan(15, $tried);
    }

    public function test_an_editor_changes_nothing_but_their_courses(): void
    {
        $this->actingAs($this->editor);
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $writes = array_values(array_diff($route->methods(), ['GET', 'HEAD']));
            if ($writes === [] || ! str_starts_with($route->uri(), 'keep/') || in_array($route->getName(), ['keep.columns', 'keep.csv-form', 'keep.pictures.keep'], true)) {
                continue;
            }
            self::assertContains($this->call($writes[0], $this->address($route->uri(), 'steam-frames'), ['version' => 0])->getStatusCode(), [403, 404], $route->uri());
            $tried++;
        }
        self::assertGreaterThan(60, $tried);

        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        self::assertSame($this->editor->id, Revision::query()->latest('id')->firstOrFail()->author_id);
        $this->post('/keep/courses', ['title' => 'Mine'])->assertForbidden();
    }

    public function test_what_an_editor_has_set_to_go_live_does_as_long_as_they_edit_it(): void
    {
        $this->actingAs($this->editor);
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->put('/keep/courses/clinker/publication', ['version' => 1, 'at' => '2026-04-01T09:00'])->assertRedirect();
        DB::table('edited_courses')->delete();
        Carbon::setTestNow('2026-04-01T07:00:00Z');
        $this->inAnotherProcess();
        Artisan::call('keep:publish-due');
        self::assertStringContainsString('Brage Lien', (string) Draft::query()->sole()->publish_refused);
        DB::table('edited_courses')->insert(['person_id' => $this->editor->id, 'course_id' => $this->course()->id]);
        Draft::query()->update(['publish_at' => '2026-04-01 07:00:00', 'publish_version' => 1, 'publish_by' => $this->editor->id, 'publish_refused' => null]);
        $this->inAnotherProcess();
        Artisan::call('keep:publish-due');
        self::assertSame(2, $this->course()->liveRevision?->number);
    }

    public function test_on_the_learners_side_an_editor_is_staff_in_their_courses_alone(): void
    {
        $viewers = app(Viewers::class)->ofAll(collect([$this->editor]), collect([$this->course(), $this->course('steam-frames')]))[$this->editor->id];
        self::assertTrue($viewers[$this->course()->id]->staff);
        self::assertFalse($viewers[$this->course('steam-frames')->id]->staff);
        $this->actingAs($this->editor)->get('/courses/clinker/l-garboard')->assertInertia(static fn (Page $page) => $page->component('learner/Lesson'));
        $this->get('/courses/steam-frames/l-heat')->assertInertia(static fn (Page $page) => $page->component('learner/Notice'));
        // What is hidden is to them as to everybody, but where they edit it.
        DB::table('courses')->whereIn('key', ['clinker', 'steam-frames'])->update(['hidden' => true]);
        $this->inAnotherProcess();
        $this->get('/courses/clinker')->assertOk();
        $this->get('/courses/steam-frames')->assertNotFound();
    }

    public function test_today_tells_an_editor_of_their_courses_and_of_nothing_else(): void
    {
        // Somebody else has published something elsewhere, and done something to people.
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'extend', 'people' => [$this->person('eira')->id], 'offer' => 'apprentice-pass', 'days' => 3]);
        foreach (['clinker' => 'l-timber', 'steam-frames' => 'l-rive'] as $course => $item) {
            $this->post("/keep/courses/{$course}/draft/edits", ['version' => 0, 'set' => 'sample', 'items' => [$item], 'value' => 'yes'])->assertSessionHasNoErrors();
            $this->post("/keep/courses/{$course}/revisions", ['version' => 1])->assertSessionHas('flash.kind', 'done');
            $this->post("/keep/courses/{$course}/draft/edits", ['version' => 0, 'set' => 'sample', 'items' => [$item], 'value' => 'no'])->assertSessionHasNoErrors();
        }
        $this->inAnotherProcess();
        $page = (array) $this->actingAs($this->editor)->get('/keep/today')->assertOk()->inertiaProps();
        self::assertSame(['clinker'], array_column((array) $page['courses'], 'key'));
        self::assertSame([[], [], [], false], [$page['ending'], $page['running'], $page['first'], $page['ofAll']]);
        $told = (string) json_encode([$page['findings'], $page['changed'], $page['courses']], JSON_UNESCAPED_SLASHES);
        self::assertSame(2, count((array) $page['changed']), 'What waits, and what was published.');
        foreach (['Steam-bent frames', 'Rigging a spritsail', 'eira', 'Eira', '/keep/people'] as $other) {
            self::assertStringNotContainsString($other, $told);
        }
        self::assertStringContainsString('/keep/courses/clinker', $told);
        // Of all of them there are more.
        $this->inAnotherProcess();
        $all = (array) $this->actingAs($this->person('hege'))->get('/keep/today')->inertiaProps();
        self::assertGreaterThan($page['found'], $all['found']);
        self::assertGreaterThan(4, count((array) $all['changed']));
        self::assertTrue($all['ofAll']);
    }

    public function test_an_editor_finds_nothing_but_their_courses(): void
    {
        $this->actingAs($this->editor);
        $page = (array) $this->get('/keep/courses')->inertiaProps();
        self::assertSame(['clinker'], array_column((array) $page['courses'], 'key'));
        self::assertFalse($page['mayEdit'], 'They make no new ones.');
        $find = fn (string $q): array => array_column((array) $this->getJson('/keep/find?'.http_build_query(['q' => $q, 'at' => 'clinker']))->assertOk()->json(), 'id');
        self::assertContains('item clinker l-garboard', $find('garboard'));
        self::assertSame([], $find('eira'));
        self::assertSame([], $find('winter'));
        self::assertSame([], $find('why eira garboard'));
        self::assertSame([], $find('apprentice pass'));
        self::assertContains('do sample', $find('free lesson'));
        self::assertNotContains('do people', $find('students'));
        self::assertSame([], $this->getJson('/keep/find/rows?q=stem')->json());
    }

    public function test_an_editor_is_told_of_nobody_who_has_nothing_of_their_courses(): void
    {
        [$theirs, $other] = [$this->person('eira'), $this->person('mathea')];
        $found = fn (string $q): array => array_column((array) $this->getJson("/keep/courses/clinker/people?q={$q}")->assertOk()->json(), 'name');
        $this->actingAs($this->editor);
        self::assertSame(['Eira Holm'], $found('eira'));
        self::assertSame([], $found('mathea'));
        $seen = fn (): array => array_column((array) ((array) ((array) $this->get("/keep/courses/clinker?lens=sightlines&v[]=person:{$theirs->id}&v[]=person:{$other->id}&v[]=observer:person:{$other->id}")->assertOk()->inertiaProps())['sightlines'])['vantages'], 'title');
        self::assertSame(['Eira Holm'], $seen());
        // Whoever sees everybody still does.
        $this->inAnotherProcess();
        $this->actingAs($this->person('hege'));
        self::assertCount(3, $seen());
        self::assertNotSame([], $found('mathea'));
    }

    public function test_a_looker_on_sees_what_assistants_see_and_changes_nothing(): void
    {
        $looker = PersonFactory::new()->createOne(['role' => Role::LookerOn])->refresh();
        $this->actingAs($looker);
        foreach (['/keep/today', '/keep/people', '/keep/people/'.$this->person('eira')->id, '/keep/courses/clinker', '/keep/offers', '/keep/notices', '/keep/school', '/keep/school/staff', '/keep/school/labels', '/courses/clinker/l-garboard'] as $path) {
            $this->get($path)->assertOk();
        }
        $this->get('/keep/outbox')->assertForbidden();
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $writes = array_values(array_diff($route->methods(), ['GET', 'HEAD']));
            $looks = ['keep.rehearsal.go-on', 'keep.notices.preview', 'keep.course-notices.preview', 'keep.letters.preview', 'keep.contents.preview', 'keep.condition', 'keep.columns', 'keep.csv-form', 'keep.vantages.save', 'keep.vantages.forget', 'keep.segments.save', 'keep.segments.forget'];
            if ($writes !== [] && str_starts_with($route->uri(), 'keep/') && ! in_array($route->getName(), $looks, true)) {
                self::assertContains($this->call($writes[0], $this->address($route->uri(), 'clinker'), ['version' => 0])->getStatusCode(), [403, 404], $route->uri());
                $tried++;
            }
        }
        self::assertGreaterThan(60, $tried);
        // Nor on the other side: words of others stay.
        $post = BoardPost::query()->create(['course_id' => $this->course('steam-frames')->id, 'item_key' => 'b-bench', 'person_id' => $this->person('mathea')->id, 'text' => 'Mine', 'posted_at' => Carbon::now()]);
        $this->delete("/courses/steam-frames/b-bench/posts/{$post->id}");
        self::assertTrue(BoardPost::query()->whereKey($post->id)->exists());
    }

    public function test_somebody_new_is_taken_on_and_told(): void
    {
        $this->actingAs($this->person('hege'));
        $take = ['email' => ' Vilde@Alder.test ', 'role' => 'editor', 'courses' => ['winter-refit', 'clinker']];
        $this->post('/keep/school/staff', $take)->assertSessionHasErrors(['name' => 'Nobody here has that address yet: please say who it is.']);
        $this->post('/keep/school/staff', [...$take, 'courses' => []])->assertSessionHasErrors(['courses' => 'Which courses? Please choose at least one.']);
        $this->post('/keep/school/staff', [...$take, 'role' => 'king'])->assertSessionHasErrors('role');
        $this->post('/keep/school/staff', [...$take, 'courses' => ['nothing']])->assertSessionHasErrors('courses.0');
        $this->post('/keep/school/staff', [...$take, 'name' => 'Vilde Moe'])->assertSessionHas('flash.text', 'Vilde Moe works here now.');
        $vilde = Person::query()->where('email', 'vilde@alder.test')->sole();
        self::assertSame(Role::Editor, $vilde->role);
        self::assertTrue(Message::query()->where('to', 'vilde@alder.test')->exists(), 'With a link to sign in.');
        $this->inAnotherProcess();
        $rows = array_column((array) ((array) $this->get('/keep/school/staff')->inertiaProps())['staff'], null, 'name');
        self::assertSame(['clinker', 'winter-refit'], $rows['Vilde Moe']['courses']);
        self::assertSame(['editor', ['clinker']], [$rows['Brage Lien']['role'], $rows['Brage Lien']['courses']]);
        // Again: they are there already.
        $this->post('/keep/school/staff', [...$take, 'name' => 'Vilde Moe'])->assertSessionHasErrors(['email' => 'Vilde Moe works here already: change their role below.']);
        $line = Activity::query()->where('action', 'staff.changed')->sole();
        self::assertSame([null, 'editor', $vilde->id], [($line->before ?? [])['role'] ?? null, ($line->after ?? [])['role'] ?? null, $line->person_id]);
    }

    public function test_whoever_only_claims_an_address_is_not_taken_on_by_it(): void
    {
        $claims = PersonFactory::new()->createOne(['email' => 'claims@unconfirmed.invalid', 'claimed_email' => 'new@alder.test']);
        $this->actingAs($this->person('hege'))->post('/keep/school/staff', ['email' => 'new@alder.test', 'name' => 'The right one', 'role' => 'administrator', 'courses' => []]);
        self::assertNull($claims->refresh()->role);
        self::assertSame('The right one', Person::query()->where('email', 'new@alder.test')->value('name'));
    }

    /** @return array<string, array{string, string, string}> */
    public static function changes(): array
    {
        return ['an assistant' => ['brage', 'editor', 'assistant'], 'all' => ['brage', 'editor', 'administrator'], 'a looker-on' => ['aksel', 'assistant', 'looker-on']];
    }

    #[DataProvider('changes')]
    public function test_a_role_is_changed_once_and_by_who_has_seen_it(string $who, string $from, string $to): void
    {
        $this->actingAs($this->person('hege'));
        $id = $this->person($who)->id;
        $this->put("/keep/school/staff/{$id}", ['from' => 'administrator', 'role' => $to, 'courses' => []])->assertSessionHasErrors(['role' => 'Somebody else has changed this meanwhile. Please look again.']);
        $this->put("/keep/school/staff/{$id}", ['from' => $from, 'role' => $to, 'courses' => ['clinker']])->assertSessionHas('flash.kind', 'done');
        self::assertSame($to, $this->person($who)->role?->value);
        self::assertSame(0, DB::table('edited_courses')->where('person_id', $id)->count());
        $this->delete("/keep/school/staff/{$id}", ['from' => $to])->assertSessionHas('flash.kind', 'done');
        self::assertNull($this->person($who)->role);
        $this->inAnotherProcess();
        $this->actingAs($this->person($who))->get('/keep/courses')->assertNotFound();
    }

    public function test_there_is_always_somebody_who_runs_the_school(): void
    {
        Person::query()->where('role', Role::Administrator)->where('email', '!=', 'hege@alder.test')->update(['role' => null]);
        $this->actingAs($this->person('hege'));
        $hege = $this->person('hege')->id;
        $last = ['role' => 'Nobody else runs the school: first make somebody else an administrator.'];
        $this->delete("/keep/school/staff/{$hege}", ['from' => 'administrator'])->assertSessionHasErrors($last);
        $this->put("/keep/school/staff/{$hege}", ['from' => 'administrator', 'role' => 'assistant', 'courses' => []])->assertSessionHasErrors($last);
        $this->put("/keep/school/staff/{$hege}", ['from' => 'administrator', 'role' => 'administrator', 'courses' => []])->assertSessionHasNoErrors();
        $this->put("/keep/school/staff/{$this->editor->id}", ['from' => 'editor', 'role' => 'administrator', 'courses' => []]);
        $this->put("/keep/school/staff/{$hege}", ['from' => 'administrator', 'role' => 'assistant', 'courses' => []])->assertSessionHasNoErrors();
        self::assertSame(Role::Assistant, $this->person('hege')->role);
    }
}
