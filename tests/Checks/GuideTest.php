<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\School;
use Tests\TestCase;

final class GuideTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_the_guide_is_read_within_the_program(): void
    {
        $page = $this->get('/keep/guide')->assertOk()->inertiaProps();
        self::assertIsArray($page);
        self::assertIsString($page['html']);
        self::assertSame(['id' => '0-today', 'title' => '0 Today'], ((array) $page['chapters'])[0]);
        foreach ((array) $page['chapters'] as $chapter) {
            self::assertIsArray($chapter);
            self::assertStringContainsString("id=\"{$chapter['id']}\"", $page['html']);
        }
        preg_match_all('~href="#([^"]+)"~', $page['html'], $anchors);
        foreach ($anchors[1] as $anchor) {
            self::assertStringContainsString("id=\"{$anchor}\"", $page['html']);
        }

        preg_match_all('~<img[^>]*src="([^"]+)"~', $page['html'], $pictures);
        self::assertGreaterThan(8, count($pictures[1]));
        foreach ($pictures[1] as $picture) {
            $this->get($picture)->assertOk()->assertHeader('Content-Type', 'image/png');
        }
    }

    public function test_nothing_but_its_pictures_is_given_out(): void
    {
        foreach (['none.png', '../../.env', '..%2f..%2f.env', 'why.png/..'] as $name) {
            $this->get("/keep/guide/pictures/{$name}")->assertNotFound();
        }
        $this->actingAs($this->person('eira'))->get('/keep/guide')->assertNotFound();
        $this->get('/keep/guide/pictures/why.png')->assertNotFound();
    }

    public function test_the_school_says_how_much_samples_may_give_away(): void
    {
        $save = ['name' => 'Alder & Tide', 'currency' => 'EUR', 'guests' => true, 'warnDays' => 7, 'graceDays' => 30];
        $this->put('/keep/school', [...$save, 'samplePercent' => 101])->assertSessionHasErrors(['samplePercent' => 'Between 0 and 100 %.']);
        $this->put('/keep/school', [...$save, 'samplePercent' => 5])->assertSessionHas('flash.kind', 'done');
        self::assertSame(0.05, School::query()->sole()->sample_share);
        self::assertSame(5, $this->get('/keep/school')->inertiaProps('samplePercent'));

        $this->inAnotherProcess();
        $this->post('/keep/courses/steam-frames/draft/edits', ['version' => 0, 'set' => 'sample', 'items' => ['l-rive'], 'value' => 'yes'])->assertSessionHasNoErrors();
        self::assertContains('samples_give_much', array_column((array) $this->get('/keep/courses/steam-frames/checks')->inertiaProps('findings'), 'check'));
    }
}
