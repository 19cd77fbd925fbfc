<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Models\Completion;
use App\Models\DraftEdit;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

final class WhyTest extends TestCase
{
    use AsksSightlines;
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_cell_tells_its_gates_and_what_would_open_it(): void
    {
        $this->getJson('/keep/courses/clinker/why?item=l-advanced&v[]=holder:8:apprentice-pass')->assertOk()
            ->assertJsonPath('word', 'Locked')
            ->assertJsonPath('summary', '2 gates are shut')
            ->assertJsonPath('why', ['tier', 'progress'])
            ->assertJsonPath('gates.3.name', 'Tier')
            ->assertJsonPath('gates.3.link', ['to' => 'rule', 'text' => 'Tiers here', 'item' => 'l-advanced', 'word' => 'tiers', 'plan' => null, 'vantage' => null, 'at' => null])
            ->assertJsonPath('plan', 'weekly')
            ->assertJsonPath('blind', null);
    }

    /** Over all rows and the usual vantages of the demo course: what is told agrees with what is decided. */
    public function test_open_cells_have_no_shut_gate_and_closed_ones_do(): void
    {
        $grid = $this->sightlines('clinker', null);
        $rows = $this->get('/keep/courses/clinker')->inertiaProps('rows');
        self::assertIsArray($rows);
        foreach ($rows as $index => $row) {
            self::assertIsArray($row);
            foreach ($grid->vantages as $column => $vantage) {
                $card = $this->getJson('/keep/courses/clinker/why?'.http_build_query(['item' => $row['key'], 'v' => [$vantage->id]]))->assertOk();
                [$state, , , $why] = self::sightAt($grid, (int) $index, (int) $column, $grid->now);
                $shut = array_filter((array) $card->json('gates'), static fn (mixed $gate): bool => is_array($gate) && $gate['passed'] === false);
                self::assertSame($why, $card->json('why'));
                self::assertSame($state === 'open', $shut === [], "{$vantage->id} on {$row['key']}");
                self::assertSame($state === 'open', $card->json('intro') === null);
            }
        }
    }

    public function test_it_is_told_of_the_instant_and_the_rules_that_are_looked_at(): void
    {
        $this->openAfter(0, 'm-tools', 3);
        $ask = '/keep/courses/clinker/why?item=l-planes&v[]=holder:4:apprentice-pass';
        $this->getJson($ask)->assertJsonPath('word', 'Open');
        $this->getJson($ask.'&see=published')->assertJsonPath('word', 'Opens later');
        $this->getJson($ask.'&see=published&at=2026-03-20T12:00:00Z')->assertJsonPath('word', 'Open');
    }

    public function test_what_the_draft_would_change_about_the_answer_is_said_beside_it(): void
    {
        $ask = '/keep/courses/clinker/why?item=l-planes&v[]=holder:4:apprentice-pass';
        $this->getJson($ask)->assertJsonPath('otherwise', null);
        $this->openAfter(0, 'm-tools', 3);
        $said = function (string $query) use (&$ask): string {
            return implode('', array_map(static fn (mixed $part): string => is_array($part) && is_string($part['text'] ?? null) ? $part['text'] : '', (array) $this->getJson($ask.$query)->assertOk()->json('otherwise.segments')));
        };
        self::assertSame('Once the draft is published: open.', $said('&see=published'));
        self::assertStringStartsWith('As it is published now: it opens ', $said(''));
        // The same by both.
        self::assertSame('', $said('&see=published&at=2026-03-20T12:00:00Z'));
        // In the draft alone there is no such row, or no longer.
        $this->outline(1, ['do' => 'add', 'kind' => 'lesson', 'titles' => 'Whetting', 'item' => 'l-planes']);
        $this->outline(2, ['do' => 'delete', 'items' => ['l-steam'], 'meant' => true]);
        $ask = '/keep/courses/clinker/why?item=whetting&v[]=holder:4:apprentice-pass';
        self::assertSame('As it is published now it is not there.', $said(''));
        $ask = '/keep/courses/clinker/why?item=l-steam&v[]=holder:4:apprentice-pass';
        self::assertSame('Once the draft is published it is not there any more.', $said('&see=published'));
    }

    /** @return list<array{string, string, mixed}> title, words and link of each way */
    private function ways(string $ask): array
    {
        $text = static fn (mixed $sentence): string => is_array($sentence) ? implode('', array_column((array) $sentence['segments'], 'text')) : '';

        return array_map(static fn (mixed $way): array => is_array($way) ? [$text($way['title']), $text($way['words']), $way['link']['to'] ?? null] : ['', '', null], array_values((array) $this->getJson($ask)->assertOk()->json('ways')));
    }

    public function test_what_waits_in_the_draft_is_told_with_the_edit_that_it_waits_as(): void
    {
        $ask = '/keep/courses/clinker/why?item=l-planes&v[]=holder:4:apprentice-pass&see=published';
        $publish = fn (string $of): array => array_values(array_filter($this->ways($of), static fn (array $way): bool => $way[2] === 'rehearsal'));
        self::assertSame([], $publish($ask));
        $this->edit(0, 'sample', ['l-steam'], ['value' => 'yes']);
        $this->openAfter(1, 'm-tools', 3);
        $this->edit(2, 'sample', ['l-timber'], ['value' => 'yes']);
        self::assertSame([['Publish the draft', 'It waits in the draft as edit 2 of 3, and opens at once then.', 'rehearsal']], $publish($ask));
        // By the draft it is open; and where it is not, publishing is no way.
        self::assertSame([], $publish(str_replace('&see=published', '', $ask)));
        self::assertSame([], $publish(str_replace('holder:4', 'holder:2', $ask)));
        // As edit 3 again, once it was undone and something else was set first.
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 3]);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 4]);
        $this->edit(5, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->openAfter(6, 'm-tools', 3);
        self::assertSame('It waits in the draft as edit 3 of 3, and opens at once then.', $publish($ask)[0][1] ?? null);
    }

    public function test_of_a_row_that_is_in_the_draft_alone_that_is_told(): void
    {
        $this->outline(0, ['do' => 'add', 'kind' => 'lesson', 'titles' => 'Whetting', 'item' => 'l-welcome']);
        $ask = '/keep/courses/clinker/why?item=whetting&see=published&v[]=holder:4:apprentice-pass';
        $card = $this->getJson($ask)->assertOk()->assertJsonPath('glyph', 'hidden')->assertJsonPath('gates.0.link.to', 'rehearsal')->assertJsonPath('gates.0.passed', false);
        self::assertSame('It is not in the course that is live; it waits in the draft as edit 1 of 1.', implode('', array_column((array) $card->json('gates.0.words.segments'), 'text')));
        self::assertSame(['Publish the draft'], array_column($this->ways($ask), 0));
        // To whom it would be no open item either.
        $visitor = str_replace('holder:4:apprentice-pass', 'visitor', $ask);
        self::assertSame([], $this->ways($visitor));
        self::assertSame('Once the draft is published: locked.', implode('', array_column((array) $this->getJson($visitor)->json('otherwise.segments'), 'text')));
        // On the page of a person it is among what can be asked about, and not among what can be handed out.
        $this->get('/keep/people/'.$this->person('eira')->id)->assertInertia(fn (Page $page) => $page->where('courses.0.waiting.0.key', 'whetting')->where('courses.0.rows', fn (mixed $rows): bool => ! str_contains((string) json_encode($rows), 'whetting')));
        $this->getJson('/keep/courses/clinker/why?item=l-nowhere&see=published&v[]=visitor')->assertNotFound();
    }

    public function test_who_or_what_is_not_there_is_not_found(): void
    {
        foreach (['item=l-nothing&v[]=visitor', 'item=l-planes&v[]=person:99999', 'item=l-planes', 'item[]=l-planes&v[]=visitor', ''] as $query) {
            $this->getJson("/keep/courses/clinker/why?{$query}")->assertNotFound();
        }
        $this->actingAs($this->person('eira'))->getJson('/keep/courses/clinker/why?item=l-planes&v[]=visitor')->assertNotFound();
    }

    public function test_a_proposal_is_made_in_the_draft_in_one_edit_and_undone_in_one(): void
    {
        $card = $this->getJson('/keep/courses/clinker/why?item=l-advanced&v[]=holder:8:apprentice-pass');
        $ways = (array) $card->json('ways');
        $fixes = is_array($ways[count($ways) - 1]) ? $ways[count($ways) - 1]['fixes'] : [];
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => $fixes])->assertSessionHasNoErrors();

        self::assertSame('open', self::shown($this->sightlines('clinker', ['holder:8:apprentice-pass']), 9, 0)[0]);
        self::assertSame(1, DraftEdit::query()->count());
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $this->draft()->version]);
        self::assertSame('locked', self::shown($this->sightlines('clinker', ['holder:8:apprentice-pass']), 9, 0)[0]);
    }

    public function test_the_blank_course_of_an_observer_is_mended(): void
    {
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => [['kind' => 'open_observer_door', 'items' => []]]]);
        $eira = $this->person('eira')->id;
        $this->getJson("/keep/courses/winter-refit/why?item=l-oakum&v[]=observer:person:{$eira}")
            ->assertJsonPath('blind.words.segments.0.text', 'The observer door is shut.')->assertJsonPath('blind.fixes', []);
        $observer = 'observer:holder:3:refit-crew';
        $blind = $this->getJson("/keep/courses/winter-refit/why?item=l-oakum&v[]={$observer}")->json('blind');
        self::assertIsArray($blind);
        self::assertSame(['open_observer_door', 'observers_everywhere'], array_column($blind['fixes'], 'kind'));
        $this->post('/keep/courses/winter-refit/draft/fixes', ['version' => 0, 'fixes' => $blind['fixes']])->assertSessionHasNoErrors();
        $this->getJson("/keep/courses/winter-refit/why?item=l-oakum&v[]={$observer}")->assertJsonPath('blind', null);
    }

    public function test_assistants_and_nonsense_mend_nothing(): void
    {
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => [['kind' => 'burn', 'items' => []]]])->assertSessionHasErrors('fixes.0.kind');
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => []])->assertSessionHasErrors('fixes');
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => [['kind' => 'no_draft', 'items' => ['nothing']]]])->assertSessionHas('flash.kind', 'refused');
        $this->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => [['kind' => 'tier_too', 'items' => ['l-advanced'], 'tier' => 'king']]])->assertSessionHas('flash.kind', 'refused');
        $this->actingAs($this->person('aksel'))->post('/keep/courses/clinker/draft/fixes', ['version' => 0, 'fixes' => [['kind' => 'course_live', 'items' => []]]])->assertForbidden();
        self::assertSame(0, DraftEdit::query()->count());
    }

    public function test_what_somebody_finished_later_does_not_count_at_an_earlier_instant(): void
    {
        $eira = $this->person('eira');
        Completion::query()->updateOrCreate(['person_id' => $eira->id, 'course_id' => $this->course()->id, 'item_key' => 'l-planes'], ['completed_at' => new \DateTimeImmutable('2026-03-10T09:00:00Z')]);
        $this->asIfWrittenThen();
        $ask = "/keep/courses/clinker/why?item=l-timber&v[]=person:{$eira->id}&at=";
        $this->getJson($ask.'2026-03-10T08:00:00Z')->assertJsonPath('word', 'Locked');
        $this->getJson($ask.'2026-03-10T09:00:00Z')->assertJsonPath('word', 'Open');
    }
}
