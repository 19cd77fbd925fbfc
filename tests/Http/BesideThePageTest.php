<?php

declare(strict_types=1);

namespace Tests\Http;

use Tests\TestCase;

/** What a page asks beside its visits changes nothing for the page that comes next. */
final class BesideThePageTest extends TestCase
{
    /** Somebody who pressed the button before the dialog had told what it would do was told nothing, and had no way back. */
    public function test_what_an_act_tells_is_not_taken_away_by_a_question_that_was_still_under_way(): void
    {
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
        $marius = $this->person('marius')->id;
        $this->from("/keep/people/{$marius}")->post('/keep/people/acts', ['people' => [$marius], 'do' => 'label', 'label' => 'crew'])->assertRedirect("/keep/people/{$marius}")->assertSessionHas('flash.kind', 'done');
        $this->postJson('/keep/people/preview', ['people' => [$marius], 'do' => 'label', 'label' => 'crew'])->assertOk();
        $this->getJson('/keep/people/find?q=eira')->assertOk();
        $this->get("/keep/people/{$marius}")->assertInertia(fn ($page) => $page->where('flash.kind', 'done')->where('flash.undo', fn (?int $act): bool => $act !== null));
        $this->get("/keep/people/{$marius}")->assertInertia(fn ($page) => $page->where('flash', null));
    }
}
