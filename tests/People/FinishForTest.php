<?php

declare(strict_types=1);

namespace Tests\People;

use App\Access\SchoolClock;
use App\Models\ActRecord;
use App\Models\Completion;
use App\Models\Person;
use App\People\ActOnPeople;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** What the school marks as finished for somebody, and takes back. */
final class FinishForTest extends TestCase
{
    use ActsOnCrowds;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return list<string> */
    private function finished(Person $person): array
    {
        return array_values(Completion::query()->where('person_id', $person->id)->orderBy('item_key')->pluck('item_key')->map(static fn (mixed $key): string => is_string($key) ? $key : '')->all());
    }

    /** @param  array<string, mixed>  $more */
    private function mark(Person $person, string $item, array $more = []): void
    {
        $this->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker', 'item' => $item, ...$more])->assertRedirect();
    }

    public function test_a_module_is_marked_with_all_inside_and_taken_back_but_for_what_they_did_themselves(): void
    {
        $person = $this->person('sunniva');
        $before = $this->finished($person);
        $this->mark($person, 'm-tools', ['note' => 'finished it in the shed']);
        $after = $this->finished($person);
        self::assertEmpty(array_diff($before, $after));
        foreach (['l-planes', 'p-iron', 'l-timber', 'l-steam'] as $key) {
            self::assertContains($key, $after);
        }
        self::assertNotContains('m-tools', $after);
        $this->get("/keep/people/{$person->id}")->assertOk()->assertSee('Tools and timber marked as finished by the school: finished it in the shed');

        // Twice is once.
        $this->mark($person, 'm-tools');
        self::assertSame($after, $this->finished($person));

        $act = ActRecord::query()->where('state', 'done')->orderByDesc('id')->firstOrFail();
        $this->post("/keep/people/acts/{$act->id}/undo")->assertRedirect();
        self::assertSame($before, $this->finished($person));
    }

    public function test_assistants_may_learners_may_not_and_what_is_nothing_to_finish_is_refused(): void
    {
        $person = $this->person('sunniva');
        $this->actingAs($this->person('aksel'));
        $this->mark($person, 'l-planes');
        self::assertContains('l-planes', $this->finished($person));
        $this->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker', 'item' => 'nothing'])->assertSessionHasErrors('item');
        $this->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker'])->assertSessionHasErrors('item');
        $this->actingAs($person)->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker', 'item' => 'l-planes'])->assertNotFound();
    }

    public function test_several_are_marked_in_one_step_and_taken_back_in_one(): void
    {
        $person = $this->person('sunniva');
        $before = $this->finished($person);
        $this->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker', 'items' => ['l-planes', 'l-timber', 'nothing']])->assertSessionHasErrors('item');
        self::assertSame($before, $this->finished($person));
        $this->post('/keep/people/acts', ['do' => 'finish', 'people' => [$person->id], 'course' => 'clinker', 'items' => ['l-planes', 'l-timber']])->assertSessionHas('flash.kind', 'done');
        self::assertSame([], array_diff(['l-planes', 'l-timber'], $this->finished($person)));
        $this->get("/keep/people/{$person->id}")->assertInertia(fn (Page $page) => $page->where('history.0.words', 'Tuning a plane and Choosing larch marked as finished by the school'));
        $this->post('/keep/people/acts/'.ActRecord::query()->max('id').'/undo');
        self::assertSame($before, $this->finished($person));
    }

    public function test_why_offers_it_where_it_would_open_what_waits(): void
    {
        // In order: each waits for the one before it.
        foreach (['l-timber' => ['l-planes'], 'l-steam' => ['l-timber']] as $item => $offered) {
            $card = $this->getJson("/keep/courses/clinker/why?item={$item}&v[]=holder:8:apprentice-pass")->assertOk()->assertJsonPath('word', 'Locked');
            $acts = array_values(array_filter(array_map(static fn (mixed $way): mixed => is_array($way) ? $way['byAct'] : null, (array) $card->json('ways')), static fn (mixed $act): bool => is_array($act) && $act['do'] === 'finish'));
            self::assertSame($offered, array_column($acts, 'item'));
        }
        $person = $this->person('torvald');
        $ask = '/keep/courses/clinker/why?item=l-timber&at='.gmdate('Y-m-d\\TH:i:s\\Z', app(SchoolClock::class)->now() + 6 * 86400)."&v[]=person:{$person->id}";
        $this->getJson($ask)->assertJsonPath('word', 'Locked');
        $this->mark($person, 'l-planes');
        $this->getJson($ask)->assertJsonPath('word', 'Open');
    }

    public function test_who_finishes_it_themselves_while_a_crowd_is_marked_keeps_that(): void
    {
        $person = $this->person('sunniva');
        $everybody = array_values(Person::query()->orderBy('id')->pluck('id')->map(static fn (mixed $id): int => is_int($id) ? $id : 0)->all());
        $record = $this->prepared(['do' => 'finish', 'course' => 'clinker', 'item' => 'l-planes'], $everybody);
        // Between the reckoning and the writing.
        Completion::query()->create(['person_id' => $person->id, 'course_id' => $this->course()->id, 'item_key' => 'l-planes', 'completed_at' => '2026-01-05 10:00:00']);
        app(ActOnPeople::class)->perform($record);

        $done = Completion::query()->where('item_key', 'l-planes');
        self::assertSame(count($everybody), $done->count());
        self::assertSame(['2026-01-05 10:00:00'], $done->where('person_id', $person->id)->toBase()->pluck('completed_at')->all());
    }
}
