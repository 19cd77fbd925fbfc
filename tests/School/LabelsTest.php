<?php

declare(strict_types=1);

namespace Tests\School;

use App\Access\Plans;
use App\Access\Viewers;
use App\Models\CourseDocument;
use App\Models\Import;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Role;
use App\Models\SavedFilter;
use App\Models\Trigger;
use App\Models\VantageSet;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\LabelFactory;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** Labels of the school: who has each, what names it, and another name for one. */
final class LabelsTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return TestResponse<Response> */
    private function rename(string $from, string $to, bool $together = false): TestResponse
    {
        $this->inAnotherProcess();

        return $this->from('/keep/school/labels')->put('/keep/school/labels', ['from' => $from, 'to' => $to, 'together' => $together]);
    }

    /** @return array<array-key, mixed> the row of a label */
    private function row(string $label): array
    {
        $this->inAnotherProcess();
        $props = $this->get('/keep/school/labels')->assertOk()->inertiaProps();
        $rows = is_array($props) && is_array($props['labels']) ? $props['labels'] : [];
        foreach ($rows as $row) {
            if (is_array($row) && $row['label'] === $label) {
                return [$row['people'], array_column((array) $row['givenBy'], 'text'), array_column((array) $row['askedBy'], 'text')];
            }
        }

        return [];
    }

    /** @return array<int, string> what everybody is answered in a course, by the engine */
    private function answers(string $course = 'clinker'): array
    {
        $this->inAnotherProcess();
        $found = $this->course($course);
        $plans = app(Plans::class);
        $decider = $plans->live($found) ?? self::fail('It is published.');
        $answers = [];
        foreach (app(Viewers::class)->each(array_fill_keys(array_map(intval(...), Person::query()->pluck('id')->all()), false), $found) as $id => $viewer) {
            $compiled = $plans->compiled($decider);
            $now = (int) Carbon::now()->timestamp;
            $answers[$id] = $compiled->states($compiled->viewer($viewer, $now), $now);
        }

        return $answers;
    }

    public function test_each_is_told_with_who_has_it_and_what_names_it(): void
    {
        self::assertSame([2, [], ['Bonus: building the oars, in Clinker planking', 'A surprise after the tools']], $this->row('oar-bonus'));
        self::assertSame([0, ['A first look'], []], $this->row('lead'));
        // By a pass, for as long as it holds; and what only a draft says.
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'offer' => 'apprentice-pass', 'tier' => 'apprentice', 'plan' => 'weekly', 'scope' => [], 'lasts' => 'days', 'days' => 180, 'labels' => 'larch'])->assertSessionHasNoErrors();
        self::assertSame([0, ['Apprentice pass, in the draft of Clinker planking'], []], $this->row('larch'));
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        $row = $this->row('larch');
        self::assertSame(['Apprentice pass, in Clinker planking'], $row[1]);
        self::assertGreaterThan(3, $row[0]);
        // Over already, and not begun yet.
        LabelFactory::new()->create(['label' => 'gone', 'ends_at' => Carbon::now()]);
        LabelFactory::new()->create(['label' => 'coming', 'starts_at' => Carbon::now()->addSecond()]);
        self::assertSame([0, 0], [$this->row('gone')[0], $this->row('coming')[0]]);
    }

    public function test_pages_take_as_many_queries_for_many_labels_as_for_few(): void
    {
        $queries = function (): int {
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/school/labels')->assertOk();

            return count(DB::getQueryLog());
        };
        $queries();
        $few = $queries();
        foreach (range(1, 30) as $n) {
            LabelFactory::new()->create(['label' => "word {$n}"]);
        }
        self::assertSame($few, $queries());
    }

    public function test_another_name_holds_wherever_it_is_named_and_changes_no_answer(): void
    {
        $before = $this->answers();
        $this->edit(0, 'only', ['l-steam'], ['value' => ['label' => 'oar-bonus']])->assertSessionHasNoErrors();
        $this->edit(1, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 2])->assertSessionHasNoErrors();
        Offer::query()->where('key', 'yard-trial')->update(['only_label' => 'oar-bonus']);
        SavedFilter::query()->create(['person_id' => $this->person('hege')->id, 'name' => 'Oars', 'query' => 'label=oar-bonus&sort=name']);
        VantageSet::query()->create(['person_id' => $this->person('hege')->id, 'course_id' => $this->course()->id, 'name' => 'Oars', 'vantages' => ['visitor', 'labelled:lead,oar-bonus:holder:8:apprentice-pass']]);
        $had = Label::query()->where('label', 'oar-bonus')->count();

        $this->rename('oar-bonus', 'oars, and spars')->assertSessionHasErrors(['to' => 'A label has no comma in it.']);
        $this->rename('oar-bonus', 'oars and spars')->assertRedirect('/keep/school/labels')->assertSessionHas('flash.text', '“oar-bonus” is called “oars and spars” now.');

        self::assertSame($before, $this->answers());
        self::assertSame([], $this->row('oar-bonus'));
        self::assertSame([2, [], ['Bonus: building the oars, in Clinker planking', 'The steam box, in the draft of Clinker planking', 'Yard trial', 'A surprise after the tools']], $this->row('oars and spars'));
        self::assertSame($had, Label::query()->where('label', 'oars and spars')->count());
        self::assertSame('label=oars+and+spars&sort=name', SavedFilter::query()->sole()->query);
        self::assertSame(['visitor', 'labelled:lead,oars%20and%20spars:holder:8:apprentice-pass'], VantageSet::query()->sole()->vantages);
        self::assertStringNotContainsString('oar-bonus', (string) json_encode(Trigger::query()->get()->toArray()));
        self::assertSame('The label “oar-bonus” is called “oars and spars”', $this->course()->liveRevision?->note);

        // Neither an undo nor a redo brings the old name back.
        foreach (['undo', 'undo', 'redo', 'redo', 'redo'] as $done => $step) {
            $this->post("/keep/courses/clinker/draft/{$step}", ['version' => 4 + $done])->assertSessionHasNoErrors();
            self::assertStringNotContainsString('oar-bonus', $this->draft()->document, "{$step}, as number {$done}");
            self::assertStringContainsString('oars and spars', $this->draft()->document);
        }
    }

    public function test_who_edits_the_draft_meanwhile_goes_on(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->put('/keep/courses/clinker/publication', ['version' => 1, 'at' => '2026-04-01T09:00'])->assertRedirect();
        $this->rename('oar-bonus', 'oars');
        self::assertSame([2, 2], [$this->draft()->version, $this->draft()->publish_version], 'What was set to go live still does.');
        $this->edit(1, 'sample', ['l-planes'], ['value' => 'yes'])->assertSessionHasNoErrors()->assertSessionMissing('flash.kind', 'collision');
        self::assertStringContainsString('"label":"oars"', $this->draft()->document);
        self::assertSame(3, $this->draft()->version);
    }

    public function test_what_is_live_keeps_all_that_was_published_meanwhile(): void
    {
        $this->edit(0, 'sample', ['l-planes'], ['value' => 'yes']);
        $this->rename('oar-bonus', 'oars');
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'refused');
        $this->post('/keep/courses/clinker/revisions', ['version' => 2])->assertSessionHas('flash.kind', 'done');
        $live = (string) $this->course()->liveRevision?->document;
        self::assertStringContainsString('"label":"oars"', $live);
        self::assertTrue(CourseDocument::fromJson($live)->readItems()['l-planes']->sample() === true);
    }

    public function test_two_become_one_only_by_saying_so(): void
    {
        LabelFactory::new()->create(['label' => 'rower', 'person_id' => $this->person('eira')->id]);
        $this->rename('rower', 'oar-bonus')->assertSessionHasErrors(['to' => 'There is a label “oar-bonus” already.']);
        self::assertSame(1, Label::query()->where('label', 'rower')->count());
        $before = $this->answers();
        $this->rename('rower', 'oar-bonus', together: true)->assertSessionHas('flash.text', '“rower” and “oar-bonus” are one label now.');
        self::assertSame(3, $this->row('oar-bonus')[0]);
        self::assertSame([$this->person('eira')->id], array_keys(array_diff_assoc($this->answers(), $before)));
        // A second click finds nothing to do.
        $this->rename('rower', 'oar-bonus', together: true)->assertSessionHasErrors(['to' => 'Nobody has “rower” any more, and nothing names it.']);
    }

    public function test_whom_it_touches_is_counted_by_the_engine_before(): void
    {
        LabelFactory::new()->create(['label' => 'rower', 'person_id' => $this->person('eira')->id]);
        $told = fn (string $from): array => array_column((array) $this->getJson('/keep/school/labels/merged?'.http_build_query(['from' => $from, 'to' => 'oar-bonus']))->assertOk()->json('lines'), 'text');
        $first = $told('rower');
        self::assertCount(1, $first);
        // Tests count at once: what is told first is told before anybody is looked at.
        self::assertMatchesRegularExpression('/^Clinker planking: 1 person of \d+ is touched/', $told('rower')[0]);
        self::assertMatchesRegularExpression('/^Clinker planking: nobody of \d+ is touched$/', $told('lead')[0]);
    }

    /** @return array<string, array{?string, ?string, ?string, ?string, ?string, ?string}> from and until of the one, of the other, and of what is left */
    public static function times(): array
    {
        return [
            'both for good' => [null, null, null, null, null, null],
            'one for good' => [null, '2026-04-01', null, null, null, null],
            'they overlap' => ['2026-03-01', '2026-04-01', '2026-03-15', '2026-05-01', '2026-03-01', '2026-05-01'],
            'one within the other' => ['2026-03-01', '2026-06-01', '2026-03-15', '2026-05-01', '2026-03-01', '2026-06-01'],
            'one after the other' => ['2026-03-01', '2026-04-01', '2026-04-01', '2026-05-01', '2026-03-01', '2026-05-01'],
            'the first is over before the second' => ['2026-01-01', '2026-02-01', '2026-03-01', '2026-05-01', '2026-03-01', '2026-05-01'],
            'the second is over before the first' => ['2026-03-01', '2026-05-01', '2026-01-01', '2026-02-01', '2026-03-01', '2026-05-01'],
            'the first since ever, the second not yet' => [null, '2026-02-01', '2026-03-01', null, '2026-03-01', null],
        ];
    }

    #[DataProvider('times')]
    public function test_who_has_both_has_the_one_for_as_long_as_either(?string $from, ?string $until, ?string $otherFrom, ?string $otherUntil, ?string $leftFrom, ?string $leftUntil): void
    {
        $person = PersonFactory::new()->createOne()->id;
        LabelFactory::new()->create(['person_id' => $person, 'label' => 'a', 'starts_at' => $from, 'ends_at' => $until]);
        LabelFactory::new()->create(['person_id' => $person, 'label' => 'b', 'starts_at' => $otherFrom, 'ends_at' => $otherUntil]);
        $other = LabelFactory::new()->createOne(['label' => 'a'])->person_id;
        $import = Import::query()->create(['kind' => 'csv', 'name' => 'crew.csv', 'path' => 'x', 'options' => [], 'tally' => [], 'errors' => [], 'state' => 'done', 'made_at' => Carbon::now()])->id;
        foreach ([$person, $other] as $one) {
            DB::table('import_labels')->insert(['import_id' => $import, 'person_id' => $one, 'label' => 'a']);
        }
        $this->rename('a', 'b', together: true)->assertSessionHasNoErrors();
        // What one of them had besides is not the file's to take back.
        self::assertSame([[$other, 'b']], DB::table('import_labels')->get()->map(static fn (\stdClass $row): array => [(int) $row->person_id, $row->label])->all());
        $left = Label::query()->where('person_id', $person)->sole();
        self::assertSame(['b', $leftFrom, $leftUntil], [$left->label, $left->starts_at?->format('Y-m-d'), $left->ends_at?->format('Y-m-d')]);
    }

    public function test_whoever_helps_may_look_and_not_rename(): void
    {
        $this->actingAs(PersonFactory::new()->createOne(['role' => Role::Assistant]));
        self::assertNotSame([], $this->row('oar-bonus'));
        $this->rename('oar-bonus', 'oars')->assertForbidden();
        $this->getJson('/keep/school/labels/merged?from=a&to=b')->assertForbidden();
        $this->actingAs($this->person('eira'));
        $this->get('/keep/school/labels')->assertNotFound();
    }
}
