<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Models\Activity;
use App\Models\Bundle;
use App\Models\Completion;
use App\Models\Content;
use App\Models\Offer;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

final class StandInTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_the_frame_names_who_is_stood_in_for(): void
    {
        $this->get('/keep/courses/clinker/stand-in?v[]=holder:12:yard-trial&v[]=visitor&v[]=guest&item=l-planes')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('keep/StandIn')
            ->where('vantages.0.name', 'Yard trial, day 12')
            ->where('vantages.1.name', 'a visitor')
            ->count('vantages', 2)
            ->where('item', 'l-planes'));
        $this->get('/keep/courses/clinker/stand-in?v[]=holder:12:nothing')->assertNotFound();
    }

    public function test_a_learner_after_the_end_of_a_trial_is_told_so(): void
    {
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=holder:12:yard-trial')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('learner/Notice')
            ->where('heading.segments.0.text', 'Your pass has ended')
            ->where('standIn.name', 'Yard trial, day 12')
            ->where('standIn.signedIn', true));
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=holder:8:yard-trial')->assertInertia(fn (Page $page) => $page->component('learner/Lesson'));
        // The same pass two days on.
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=holder:8:yard-trial&at=2026-03-12T12:00:00Z')->assertInertia(fn (Page $page) => $page->component('learner/Notice'));
    }

    /** What the learner's own pages show and what a stand-in shows is the same. */
    public function test_it_shows_what_they_would_get_themselves(): void
    {
        $eira = $this->person('eira');
        foreach ([['', 'course'], ['/l-welcome', 'html'], ['/l-timber', 'heading'], ['/l-garboard', 'text']] as [$item, $prop]) {
            $stood = $this->get("/keep/courses/clinker/stand-in/view{$item}?v[]=person:{$eira->id}")->assertOk()->inertiaProps($prop);
            $own = $this->actingAs($eira)->get("/courses/clinker{$item}")->inertiaProps($prop);
            $this->actingAs($this->person('hege'));
            self::assertEquals($own, $stood);
        }
    }

    public function test_offers_and_bundles_stand_there_as_they_do_at_that_instant(): void
    {
        Offer::query()->where('key', 'taster')->update(['price' => 500, 'sold_from' => '2026-03-12 08:00:00', 'sold_until' => '2026-03-14 08:00:00']);
        $bundle = Bundle::query()->create(['key' => 'both', 'name' => 'Both courses', 'price' => 9000, 'currency' => 'EUR']);
        $bundle->offers()->sync(Offer::query()->whereIn('key', ['apprentice-pass', 'taster'])->pluck('id')->all());
        $sold = function (string $at): array {
            $page = $this->get("/keep/courses/clinker/stand-in/view?v[]=visitor&at={$at}")->assertOk();
            $names = [...array_column(array_column((array) $page->inertiaProps('columns'), 'offer'), 'name'), ...array_column((array) $page->inertiaProps('offers'), 'name')];

            return array_map(static fn (string $name): bool => in_array($name, $names, true), ['Taster', 'Both courses']);
        };
        self::assertSame([[false, false], [true, true], [false, false]], array_map($sold, ['2026-03-10T12:00:00Z', '2026-03-13T12:00:00Z', '2026-03-15T12:00:00Z']));
    }

    public function test_nothing_closed_is_in_its_pages(): void
    {
        $closed = [];
        foreach (Content::query()->where('course_id', $this->course()->id)->get() as $content) {
            $text = trim($content->text);
            $text === '' || $closed[$content->item_key] = substr($text, -40);
        }
        self::assertGreaterThan(4, count($closed));
        foreach ($closed as $key => $text) {
            $page = $this->get("/keep/courses/clinker/stand-in/view/{$key}?v[]=visitor");
            foreach ($closed as $other => $words) {
                if ($other !== 'l-welcome') {
                    self::assertStringNotContainsString($words, (string) $page->getContent(), "{$other} in the page of {$key}");
                }
            }
        }
    }

    public function test_what_they_may_not_know_of_is_not_there(): void
    {
        $this->get('/keep/courses/clinker/stand-in/view/l-bonus?v[]=visitor')->assertOk()->assertInertia(fn (Page $page) => $page->component('Error')->where('status', 404))->assertDontSee('building the oars');
        $this->get('/keep/courses/oars/stand-in/view?v[]=visitor')->assertInertia(fn (Page $page) => $page->component('Error'));
    }

    public function test_looking_records_nothing(): void
    {
        $this->edit(0, 'finish', ['l-welcome'], ['by' => 'visit'])->assertSessionHasNoErrors();
        $eira = $this->person('eira');
        Completion::query()->where('person_id', $eira->id)->delete();
        $activities = Activity::query()->count();
        $this->get("/keep/courses/clinker/stand-in/view/l-welcome?v[]=person:{$eira->id}")->assertOk();
        $this->post("/keep/courses/clinker/stand-in/view/l-welcome/finished?v[]=person:{$eira->id}")->assertNotFound();
        self::assertSame([0, $activities], [Completion::query()->where('person_id', $eira->id)->count(), Activity::query()->count()]);
    }

    public function test_the_draft_is_stood_in_for_or_what_is_published(): void
    {
        $this->openAfter(0, 'm-tools', 3);
        $view = '/keep/courses/clinker/stand-in/view/l-planes?v[]=holder:4:apprentice-pass';
        $this->get($view)->assertInertia(fn (Page $page) => $page->component('learner/Lesson'));
        $this->get($view.'&see=published')->assertInertia(fn (Page $page) => $page->component('learner/Notice'));
    }

    public function test_colleagues_may_open_the_link_and_nobody_else(): void
    {
        $this->actingAs($this->person('aksel'))->get('/keep/courses/clinker/stand-in/view?v[]=visitor')->assertOk();
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker/stand-in/view?v[]=visitor')->assertNotFound();
        $this->get('/keep/courses/clinker/stand-in?v[]=visitor')->assertNotFound();
        $this->post('/sign-out');
        $this->get('/keep/courses/clinker/stand-in?v[]=visitor')->assertRedirect('/sign-in');
    }
}
