<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Models\Offer;
use App\People\MakePass;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** What was given in the minute in which it is asked about is not still to begin: what is told is of the second. */
final class AskedInThatMinuteTest extends TestCase
{
    public function test_a_pass_that_was_given_in_this_minute_has_begun_on_every_screen(): void
    {
        $this->demoSchool('2026-03-10T12:00:00Z');
        $jonas = $this->person('jonas');
        $this->travelTo('2026-03-10T12:34:40Z');
        app(MakePass::class)($jonas, Offer::query()->with('course.liveRevision')->where('key', 'tools-only')->firstOrFail(), now()->getTimestamp());
        $this->travelTo('2026-03-10T12:34:50Z');
        $this->actingAs($this->person('hege'));
        $who = "person:{$jonas->id}";
        $this->getJson('/keep/courses/clinker/why?'.http_build_query(['v' => [$who], 'item' => 'l-planes']))->assertOk()->assertJsonPath('glyph', 'open');
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?'.http_build_query(['v' => [$who], 'see' => 'published']))->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/Lesson'));
        $grid = $this->get('/keep/courses/clinker?'.http_build_query(['lens' => 'sightlines', 'v' => [$who]]))->assertOk()->inertiaProps('sightlines');
        self::assertIsArray($grid);
        self::assertSame($grid['now'], $grid['at']);
        self::assertStringContainsString('"glyph":"open"', json_encode($grid['sights'], JSON_THROW_ON_ERROR));
        $this->actingAs($jonas)->get('/courses/clinker/l-planes')->assertOk();
    }
}
