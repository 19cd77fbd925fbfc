<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Content;
use App\Models\Picture;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** Modules have words and a cover beneath their heading, for those to whom they are open. */
final class ModuleIntrosTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        Content::query()->where('course_id', $this->course()->id)->where('item_key', 'like', 'm-%')->delete();
        Picture::query()->create(['token' => 'racked', 'title' => 'Planks on a rack', 'width' => 800, 'height' => 400, 'widths' => [400, 800], 'bytes' => 1, 'made_at' => now()]);
    }

    /** @param  array<string, mixed>  $with */
    private function write(string $module, array $with): void
    {
        $this->actingAs($this->person('hege'))->put("/keep/courses/clinker/contents/{$module}", ['version' => 0, 'drafted' => 0, 'text' => '', ...$with])->assertRedirect()->assertSessionHasNoErrors();
    }

    public function test_whoever_is_in_the_module_reads_what_it_is_about(): void
    {
        $this->write('m-tools', ['text' => 'Edges *first*.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80]);
        $this->write('m-planks', ['text' => 'Later words.']);
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page
            ->has('modules', 1)->where('modules.0.key', 'm-tools')->where('modules.0.html', "<p>Edges <em>first</em>.</p>\n")->where('modules.0.cover.focus', '20% 80%')->where('modules.0.cover.alt', 'Planks on a rack'));
    }

    public function test_of_a_closed_module_nothing_is_sent_to_anybody(): void
    {
        $this->write('m-planks', ['text' => 'Later words.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80]);
        foreach (['eira', 'nina'] as $who) {
            $sent = (string) $this->actingAs($this->person($who))->get('/courses/clinker')->assertOk()->getContent();
            self::assertStringNotContainsString('Later words.', $sent);
            self::assertStringNotContainsString('racked-', $sent);
        }
        auth()->logout();
        self::assertStringNotContainsString('Later words.', (string) $this->get('/courses/clinker')->assertOk()->getContent());
    }

    public function test_without_scripts_it_stands_there_as_well(): void
    {
        $this->write('m-tools', ['text' => 'Edges *first*.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80]);
        $page = (string) $this->actingAs($this->person('eira'))->get('/courses/clinker')->getContent();
        $plain = substr($page, (int) strpos($page, 'id="app"'));
        self::assertStringContainsString('<em>first</em>', $plain);
        self::assertStringContainsString('object-position: 20% 80%', $plain);
    }

    public function test_a_picture_that_is_not_there_is_refused_at_its_field_and_one_taken_away_later_leaves_the_words(): void
    {
        $this->actingAs($this->person('hege'))->put('/keep/courses/clinker/contents/m-tools', ['version' => 0, 'text' => 'Edges.', 'cover' => 'nothing', 'focusX' => 50, 'focusY' => 50])->assertSessionHasErrors('cover');
        $this->put('/keep/courses/clinker/contents/m-tools', ['version' => 0, 'text' => 'Edges.', 'cover' => 'racked', 'focusX' => 101, 'focusY' => 50])->assertSessionHasErrors('focusX');
        $this->write('m-tools', ['text' => 'Edges.', 'cover' => 'racked', 'focusX' => 50, 'focusY' => 50]);
        Picture::query()->where('token', 'racked')->delete();
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('modules.0.cover', null)->where('modules.0.html', "<p>Edges.</p>\n"));
    }

    public function test_drafted_it_is_told_and_seen_in_a_stand_in_alone(): void
    {
        $this->write('m-tools', ['text' => 'Edges.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80, 'later' => true]);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('changes.0.segments.2.text', ' holds is new: its text and its cover'));
        $who = 'person:'.$this->person('eira')->id;
        $this->get('/keep/courses/clinker/stand-in/view?'.http_build_query(['v' => [$who], 'see' => 'draft']))->assertInertia(fn (Page $page) => $page->where('modules.0.html', "<p>Edges.</p>\n"));
        $this->get('/keep/courses/clinker/stand-in/view?'.http_build_query(['v' => [$who], 'see' => 'published']))->assertInertia(fn (Page $page) => $page->where('modules', []));
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('modules', []));
    }

    public function test_the_number_of_queries_does_not_grow_with_modules(): void
    {
        $count = function (): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertOk();

            return count(DB::getQueryLog());
        };
        $count();
        $this->write('m-tools', ['text' => 'Edges.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80]);
        $one = $count();
        $this->write('m-start', ['text' => 'Before.', 'cover' => 'racked', 'focusX' => 20, 'focusY' => 80]);
        self::assertSame($one, $count());
    }
}
