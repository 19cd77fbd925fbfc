<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\Pass;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** From an empty school to a course that a visitor can look at, by what Today says. */
final class FirstStepsTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<string, array{bool, ?string}> done, and where, by step */
    private function steps(): array
    {
        $this->inAnotherProcess();
        $steps = [];
        foreach ((array) $this->get('/keep/today')->assertOk()->inertiaProps('first') as $step) {
            self::assertIsArray($step);
            self::assertIsString($step['key']);
            $steps[$step['key']] = [$step['done'] === true, is_string($step['href']) ? $step['href'] : null];
        }

        return $steps;
    }

    public function test_they_are_told_until_somebody_holds_a_pass(): void
    {
        self::assertSame([], $this->steps());
        Pass::query()->delete();
        self::assertCount(9, $this->steps());
        $this->actingAs($this->person('aksel'));
        self::assertSame([], $this->steps());
    }

    public function test_each_is_done_by_what_it_says_and_the_last_one_leads_to_the_course(): void
    {
        foreach (['passes', 'bundle_offers', 'bundles', 'drafts', 'contents', 'notice_texts'] as $table) {
            if (DB::getSchemaBuilder()->hasTable($table)) {
                DB::table($table)->delete();
            }
        }
        Offer::query()->delete();
        DB::table('courses')->update(['live_revision_id' => null]);
        DB::table('revisions')->delete();
        DB::table('courses')->delete();
        $done = fn (): array => array_keys(array_filter($this->steps(), static fn (array $step): bool => $step[0]));
        self::assertSame([], $done());
        self::assertSame(['/keep/courses', null], [$this->steps()['course'][1], $this->steps()['publish'][1]]);

        $this->post('/keep/courses', ['title' => 'Oar making'])->assertSessionHasNoErrors();
        $this->edited = 'oar-making';
        self::assertSame(['course'], $done());
        $this->outline(1, ['do' => 'add', 'kind' => 'lesson', 'titles' => "Choosing spruce\nSawing"])->assertSessionHasNoErrors();
        self::assertSame(['course', 'outline'], $done(), json_encode($this->draft()->document) ?: '');

        $lesson = (string) array_key_first(array_filter($this->document()->readItems(), static fn ($item): bool => $item->isLesson()));
        self::assertSame("/keep/courses/oar-making/contents/{$lesson}", $this->steps()['words'][1]);
        $this->put("/keep/courses/oar-making/contents/{$lesson}", ['version' => 0, 'text' => 'Look for straight grain.'])->assertSessionHasNoErrors();
        $this->edit($this->draft()->version, 'sample', [$lesson], ['value' => 'yes'])->assertSessionHasNoErrors();
        $this->post('/keep/courses/oar-making/draft/offers', ['version' => $this->draft()->version, 'name' => 'Oar pass', 'sale' => 'price', 'price' => 900, 'currency' => 'NOK', 'labels' => '', 'trial' => false, 'erases' => false, 'tier' => null, 'plan' => null, 'scope' => [], 'lasts' => 'good'])->assertSessionHasNoErrors();
        self::assertSame(['course', 'outline', 'words', 'sample'], $done(), 'By invitation an offer lets nobody in.');

        // The checks say so, and what mends it.
        $found = array_column((array) $this->get('/keep/courses/oar-making/checks')->inertiaProps('findings'), null, 'check');
        self::assertArrayHasKey('sold_by_invitation', $found);
        $this->post('/keep/courses/oar-making/draft/fixes', ['version' => $this->draft()->version, 'fixes' => $found['sold_by_invitation']['fixes']])->assertSessionHasNoErrors();
        self::assertContains('offer', $done());
        $this->post('/keep/courses/oar-making/trial', ['version' => $this->draft()->version, 'name' => 'Ten days', 'days' => 10, 'plan' => null, 'tier' => null, 'erases' => false]);
        NoticeText::query()->create(['scope' => 'school', 'case' => 'no-pass', 'way' => 'show', 'heading' => 'x', 'text' => 'y', 'version' => 1]);
        self::assertContains('notice', $done());
    }
}
