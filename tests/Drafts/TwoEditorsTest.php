<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\ApiToken;
use App\Models\Document\DocumentItem;
use App\Models\DraftEdit;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\Person;
use App\Models\TriggerRun;
use Illuminate\Support\Facades\Route;
use Tests\Factories\BundleFactory;
use Tests\Factories\ImportFactory;
use Tests\Factories\MessageFactory;
use Tests\Factories\PurchaseFactory;
use Tests\Factories\SharedNoticeFactory;
use Tests\TestCase;

final class TwoEditorsTest extends TestCase
{
    use EditsDrafts;

    private Person $hege;

    private Person $ingrid;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->hege = $this->person('hege');
        $this->ingrid = $this->secondAdministrator();
    }

    public function test_edits_of_different_things_both_stand(): void
    {
        $this->actingAs($this->ingrid)->openAfter(0, 'm-planks', 3);
        $this->actingAs($this->hege)->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);

        self::assertSame('done', session('flash')['kind']);
        self::assertStringContainsString('Ingrid Vik has edited this draft too', session('flash')['text']);
        self::assertStringContainsString('Hanging planks opens 3 days after joining', self::told());
        self::assertTrue($this->item('l-timber')->sample);
        self::assertSame(3, $this->document()->raw()->plans->weekly->{'m-planks'}->opens->days);
        self::assertSame(2, $this->draft()->version);
        self::assertSame([$this->ingrid->id, $this->hege->id], DraftEdit::query()->orderBy('id')->pluck('author_id')->all());
    }

    public function test_edits_of_the_same_thing_collide_and_both_are_told(): void
    {
        $this->actingAs($this->ingrid)->openAfter(0, 'm-planks', 3);
        $this->actingAs($this->hege)->openAfter(0, 'm-planks', 5);

        self::assertSame('collision', session('flash')['kind']);
        self::assertStringContainsString('Ingrid Vik has changed this', session('flash')['text']);
        self::assertStringContainsString('opens 3 days after joining', self::told('lines'));
        self::assertStringContainsString('opens 5 days after joining in the weekly plan (was: 3 days after joining)', self::told('mine'));
        self::assertSame(1, $this->draft()->version);

        // Having seen both, it can be set all the same.
        $this->openAfter(1, 'm-planks', 5);
        self::assertSame(5, $this->document()->raw()->plans->weekly->{'m-planks'}->opens->days);
    }

    public function test_one_row_put_into_two_modules_collides(): void
    {
        $this->actingAs($this->ingrid)->outline(0, ['do' => 'place', 'items' => ['l-rivets'], 'target' => 'm-tools', 'where' => 'inside']);
        $this->actingAs($this->hege)->outline(0, ['do' => 'place', 'items' => ['l-rivets'], 'target' => 'l-welcome', 'where' => 'after']);

        self::assertSame('collision', session('flash')['kind']);
        self::assertSame(1, $this->draft()->version);
    }

    public function test_what_somebody_has_taken_out_is_not_edited(): void
    {
        $this->actingAs($this->ingrid)->outline(0, ['do' => 'delete', 'items' => ['l-rivets'], 'meant' => true]);
        $this->actingAs($this->hege)->edit(0, 'sample', ['l-rivets'], ['value' => 'yes']);

        self::assertSame('refused', session('flash')['kind']);
        self::assertStringContainsString('has no item l-rivets any more', session('flash')['text']);
    }

    public function test_what_somebody_has_edited_is_not_taken_out_unseen(): void
    {
        $this->actingAs($this->ingrid)->edit(0, 'sample', ['l-rivets'], ['value' => 'yes']);
        $this->actingAs($this->hege)->outline(0, ['do' => 'delete', 'items' => ['l-rivets'], 'meant' => true]);

        self::assertSame('collision', session('flash')['kind']);
        self::assertSame('l-rivets', $this->item('l-rivets')->key);
    }

    public function test_a_form_that_sets_many_things_does_not_take_others_back_unseen(): void
    {
        $form = ['title' => 'Clinker planking', 'state' => 'live', 'entry' => 'offer', 'keepAfterRetiring' => true, 'sampleNeedsAccount' => false, 'inOrder' => false,
            'guestsOpen' => true, 'guestsDefault' => false, 'observersOpen' => true, 'observersDefault' => true, 'observersFollow' => true, 'tiers' => 'apprentice, journeyman'];
        $send = fn (array $changes) => $this->post('/keep/courses/clinker/draft/course', ['version' => 0, ...$form, ...$changes]);
        $this->actingAs($this->ingrid);
        $send(['title' => 'Clinker planking for all']);
        $this->actingAs($this->hege);
        $send(['state' => 'retired']);

        self::assertSame('collision', session('flash')['kind']);
        self::assertSame('Clinker planking for all', $this->document()->title());
    }

    public function test_after_an_undo_nothing_is_guessed(): void
    {
        $this->actingAs($this->ingrid)->openAfter(0, 'm-planks', 3);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        $this->actingAs($this->hege)->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);

        self::assertSame('collision', session('flash')['kind']);
    }

    public function test_a_double_click_sets_it_once(): void
    {
        $this->actingAs($this->hege)->openAfter(0, 'm-planks', 3);
        $this->openAfter(0, 'm-planks', 3);

        self::assertNull(session('flash'));
        self::assertSame(1, DraftEdit::query()->count());
    }

    public function test_adding_the_same_twice_by_a_double_click_adds_it_once(): void
    {
        $add = ['do' => 'add', 'kind' => 'lesson', 'titles' => 'Oiling the seams', 'item' => 'l-rivets'];
        $this->actingAs($this->hege)->outline(0, $add);
        $this->outline(0, $add);

        self::assertNull(session('flash'));
        self::assertCount(1, array_filter($this->document()->readItems(), static fn (DocumentItem $item): bool => $item->title() === 'Oiling the seams'));
        // Some time later it is no second click any more, and from another window of theirs: they are asked.
        $this->travel(11)->seconds();
        $this->outline(0, $add)->assertSessionHas('flash.kind', 'collision')->assertSessionHas('flash.text', static fn (string $text): bool => str_contains($text, 'You have changed this elsewhere'));
    }

    public function test_no_version_means_two_things(): void
    {
        $this->actingAs($this->hege)->openAfter(0, 'm-planks', 3);
        $this->delete('/keep/courses/clinker/draft', ['version' => 1]);
        $this->actingAs($this->ingrid)->openAfter(0, 'm-planks', 9);
        self::assertSame(2, $this->draft()->version);
        // Hege still has version 1 of the draft that is gone on the screen.
        $this->actingAs($this->hege)->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);
        self::assertNotSame('refused', session('flash')['kind'] ?? '');
        $this->actingAs($this->ingrid)->delete('/keep/courses/clinker/draft', ['version' => $this->draft()->version]);
        $this->actingAs($this->hege)->edit(2, 'sample', ['l-timber'], ['value' => 'no']);

        self::assertSame('refused', session('flash')['kind']);
    }

    public function test_each_sees_what_the_other_does(): void
    {
        $this->actingAs($this->ingrid)->openAfter(0, 'm-planks', 3);
        $news = $this->actingAs($this->hege)->getJson('/keep/courses/clinker/draft/news?since=0')->assertOk();
        self::assertSame([1, 'Ingrid Vik'], [$news->json('version'), $news->json('who')]);
        self::assertSame('Hanging planks', $news->json('sentences.0.segments.0.text'));

        // One's own edits are no news, nor is what one has seen.
        $this->actingAs($this->ingrid)->getJson('/keep/courses/clinker/draft/news?since=0')->assertJson(['version' => 1, 'who' => null, 'sentences' => []]);
        $this->actingAs($this->hege)->getJson('/keep/courses/clinker/draft/news?since=1')->assertExactJson(['version' => 1, 'who' => null, 'sentences' => []]);
        $this->actingAs($this->person('eira'))->getJson('/keep/courses/clinker/draft/news?since=0')->assertNotFound();
    }

    public function test_an_assistant_edits_by_no_address(): void
    {
        $this->actingAs($this->person('aksel'));
        ImportFactory::new()->createOne(['id' => 1, 'name' => 'people.csv', 'path' => 'none', 'made_at' => 0]);
        BundleFactory::new()->createOne(['id' => 1, 'key' => 'both', 'name' => 'Both']);
        PurchaseFactory::new()->of($this->person('eira'))->createOne(['id' => 1]);
        $this->wordless();
        SharedNoticeFactory::new()->createOne(['id' => 1]);
        MessageFactory::new()->createOne(['id' => 1]);
        OutsideSystem::query()->create(['id' => 1, 'name' => 'The ledger', 'address' => 'https://ledger.test/', 'secret' => 'x']);
        ApiToken::query()->forceCreate(['id' => 1, 'tokenable_type' => Person::class, 'tokenable_id' => 1, 'name' => 'One', 'token' => 'a', 'abilities' => ['decide']]);
        OutsideEvent::query()->create(['id' => 1, 'outside_system_id' => 1, 'event' => '6b1f0a52-7c1d-4c0e-9a57-0d6f1f2f9b11', 'once' => 'e', 'body' => '{}', 'made_at' => now()]);
        TriggerRun::query()->create(['id' => 1, 'trigger_id' => 1, 'key' => 'x', 'person_id' => $this->person('eira')->id, 'cause' => 'x', 'spec' => [], 'happened_at' => now(), 'made_at' => now()]);
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $writes = array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']);
            // Reading by POST, what is one's own, and what assistants are there for.
            $theirs = ['keep.rehearsal.go-on', 'keep.notices.preview', 'keep.course-notices.preview', 'keep.letters.preview', 'keep.person.letters', 'keep.contents.preview', 'keep.condition', 'keep.columns', 'keep.csv-form', 'keep.vantages.save', 'keep.vantages.forget', 'keep.segments.save', 'keep.segments.forget', 'keep.people.preview', 'keep.people.act', 'keep.people.undo', 'keep.act.do', 'keep.act.leave', 'keep.people.files.ask', 'keep.people.file.let-go'];
            if ($writes !== [] && str_starts_with($route->uri(), 'keep/') && ! in_array($route->getName(), $theirs, true)) {
                $this->call(array_values($writes)[0], '/'.preg_replace('/\{\w+\}/', '1', str_replace(['{course}', '{what}', '{subject}'], ['clinker', 'poster', str_repeat('0', 32)], $route->uri())), ['version' => 0])->assertForbidden();
                $tried++;
            }
        }
        self::assertGreaterThan(10, $tried);
    }
}
