<?php

declare(strict_types=1);

namespace Tests\Feature;

use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class SightlinesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_cell_says_what_the_holder_sees_on_the_chosen_day(): void
    {
        $this->get('/keep/courses/clinker?lens=sightlines&day[apprentice-pass]=8&day[yard-trial]=9')->assertInertia(fn (Page $page) => $page
            ->where('sightlines.vantages.0.title', 'Visitor')
            ->where('sightlines.vantages.1.day', 8)
            ->where('sightlines.rows.3.cells.0.glyph', 'sample')
            ->where('sightlines.rows.5.cells.1', ['glyph' => 'open', 'look' => false, 'word' => 'to Sat 29 Aug', 'later' => false, 'count' => '1 of 4', 'why' => []])
            ->where('sightlines.rows.9.cells.1.word', 'other tier')
            ->where('sightlines.rows.6.cells.3.word', 'to Wed 11 Mar'));
    }

    public function test_the_instant_can_be_chosen_in_the_schools_zone(): void
    {
        $this->get('/keep/courses/clinker?lens=sightlines&at=2026-03-29T02:30')->assertInertia(fn (Page $page) => $page
            ->where('sightlines.at', '2026-03-29T03:30')
            ->where('sightlines.isNow', false));
    }

    public function test_nonsense_in_the_address_falls_back_to_the_usual(): void
    {
        $this->get('/keep/courses/clinker?lens=x&at=yesterday&day[apprentice-pass]=-4&plan=none')->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('lens', 'rules')->where('plan', 'weekly'));
        $this->get('/keep/courses/clinker?lens=sightlines&day=7&at[]=1')->assertOk();
        $this->get('/keep/courses/nothing')->assertNotFound();
    }

    public function test_the_draft_can_be_seen_beside_what_is_published(): void
    {
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'after_start', 'days' => 3]);
        $address = '/keep/courses/clinker?lens=sightlines&day[apprentice-pass]=4';
        $this->get($address)->assertInertia(fn (Page $page) => $page->where('sightlines.draft', true)->where('sightlines.rows.6.cells.1.glyph', 'open'));
        $this->get($address.'&see=published')->assertInertia(fn (Page $page) => $page->where('sightlines.draft', false)->where('sightlines.rows.6.cells.1.glyph', 'later'));
    }
}
