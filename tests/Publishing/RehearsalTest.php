<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Access\Plans;
use App\Access\SchoolOf;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use App\Publishing\Proposal;
use App\Publishing\Rehearsing;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

final class RehearsalTest extends TestCase
{
    use Rehearses;

    private const NOW = '2026-03-10T12:00:00Z';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool(self::NOW);
        $this->actingAs($this->person('hege'));
    }

    public function test_it_names_who_gains_and_who_loses(): void
    {
        $this->edit(0, 'opens', ['m-tools'], ['plan' => 'weekly', 'rule' => 'after_start', 'days' => 3, 'time' => '09:00']);
        $this->edit(1, 'tiers', ['l-garboard'], ['value' => ['journeyman']]);

        $rows = $this->rehearsal()['rows'];
        self::assertContains('Sindre Aune', self::names($rows, 'The garboard', 'lose'));
        self::assertContains('Torvald Moe', self::names($rows, 'Tools and timber', 'gain'));
        self::assertContains('Sunniva Dahl', self::names($rows, 'Tools and timber', 'sooner'));
        // Who has it by another tier is not touched.
        foreach (['lose', 'pause', 'never', 'gain'] as $effect) {
            self::assertNotContains('Halvard Skog', self::names($rows, 'The garboard', $effect));
        }
    }

    public function test_whom_it_names_can_be_gone_to_and_written_to(): void
    {
        ObserverTie::query()->create(['observer_id' => $this->person('jonas')->id, 'learner_id' => $this->person('sindre')->id]);
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => ['journeyman']]);
        $page = $this->rehearsal();
        foreach (['totals', 'observerTotals'] as $totals) {
            self::assertNotSame([], $page[$totals]);
            foreach ($page[$totals] as $effect) {
                self::assertSame($effect['names'], array_map(static fn (int $id): string => Person::query()->findOrFail($id)->name.($totals === 'totals' ? '' : ', with Sindre Aune'), $effect['people']));
                $sorted = $effect['names'];
                sort($sorted, SORT_LOCALE_STRING);
                self::assertSame($sorted, $effect['names']);
            }
        }
    }

    public function test_all_whom_it_touches_in_one_way_are_in_a_list(): void
    {
        ObserverTie::query()->create(['observer_id' => $this->person('jonas')->id, 'learner_id' => $this->person('sindre')->id]);
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => ['journeyman']]);
        $page = $this->rehearsal();
        $listed = fn (string $query): array => (array) $this->get("/keep/courses/clinker/rehearsal/people?{$query}")->assertOk()->json();
        foreach ([['totals', ''], ['observerTotals', '&observers=1']] as [$totals, $more]) {
            foreach ($page[$totals] as $effect) {
                $list = $listed("effect={$effect['effect']}{$more}");
                self::assertSame($effect['count'], $list['count']);
                self::assertSame($effect['people'], array_column((array) $list['people'], 'id'));
                self::assertSame($effect['names'], array_map(static fn (mixed $one): string => is_array($one) ? $one['name'].($one['with'] === null ? '' : ", with {$one['with']}") : '', (array) $list['people']));
            }
        }
        self::assertSame([$this->person('sindre')->email], array_values(array_intersect(array_column((array) $listed('effect=lose&item=l-garboard')['people'], 'email'), ['sindre@alder.test'])));
        self::assertSame(['count' => 0, 'people' => []], $listed('effect=lose&item=nothing'));
        self::assertSame(['count' => 0, 'people' => []], $listed('effect[]=lose'));
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker/rehearsal/people?effect=lose')->assertNotFound();
        $this->actingAs($this->person('hege'))->delete('/keep/courses/clinker/draft', ['version' => 1]);
        $this->get('/keep/courses/clinker/rehearsal/people?effect=lose')->assertStatus(410);
    }

    public function test_what_it_says_of_three_people_is_what_deciding_before_and_after_says(): void
    {
        $this->edit(0, 'opens', ['m-tools'], ['plan' => 'weekly', 'rule' => 'after_start', 'days' => 3, 'time' => '09:00']);
        $this->edit(1, 'tiers', ['l-garboard'], ['value' => ['journeyman']]);
        $rows = $this->rehearsal()['rows'];
        $before = CourseDocument::fromJson((string) $this->course()->liveRevision?->document);
        $after = CourseDocument::fromJson(Draft::query()->firstOrFail()->document);
        $seen = 0;
        foreach (['Sindre Aune', 'Torvald Moe', 'Sunniva Dahl'] as $name) {
            $viewer = app(Viewers::class)->of(Person::query()->where('name', $name)->firstOrFail(), $this->course());
            [$was, $is] = array_map(static function (CourseDocument $document) use ($viewer): array {
                $open = [];
                foreach (app(Plans::class)->of($document)->decide($viewer, Instant::parse(self::NOW)) as $decision) {
                    $open[$decision->item] = $decision->state === State::Open;
                }

                return $open;
            }, [$before, $after]);
            foreach ($after->readItems() as $item) {
                $title = $item->title();
                $lost = [...self::names($rows, $title, 'lose'), ...self::names($rows, $title, 'pause')];
                self::assertSame($is[$item->key()] && ! $was[$item->key()], in_array($name, self::names($rows, $title, 'gain'), true), "{$name} gains {$title}");
                self::assertSame($was[$item->key()] && ! $is[$item->key()], in_array($name, $lost, true), "{$name} loses {$title}");
                $seen += $is[$item->key()] === $was[$item->key()] ? 0 : 1;
            }
        }
        self::assertGreaterThan(2, $seen);
    }

    public function test_its_numbers_are_those_of_the_command_on_the_same_data(): void
    {
        $this->edit(0, 'opens', ['m-tools'], ['plan' => 'weekly', 'rule' => 'after_start', 'days' => 12]);
        $this->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);
        $school = app(SchoolOf::class)();
        $folder = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $course = $this->course();
        file_put_contents("{$folder}/before", CourseDocument::fromJson((string) $course->liveRevision?->document)->planJson($school));
        file_put_contents("{$folder}/after", CourseDocument::fromJson(Draft::query()->firstOrFail()->document)->planJson($school));
        file_put_contents("{$folder}/people", json_encode($this->holders($course)));
        $at = Instant::parse(self::NOW);
        Artisan::call('keep:impact', [
            '--before' => "{$folder}/before", '--after' => "{$folder}/after", '--course' => 'clinker', '--people' => "{$folder}/people",
            '--at' => self::NOW, '--until' => Instant::format($at + 365 * 86400),
        ]);
        $command = json_decode(Artisan::output(), true);
        File::deleteDirectory($folder);

        $page = $this->rehearsal();
        self::assertSame($command['people'], $page['people']);
        self::assertGreaterThan(30, $page['people']);
        $totals = array_column($page['totals'], 'count', 'effect');
        self::assertEquals(array_filter($command['touched']), $totals);
        self::assertSame(count(array_filter($command['items'], static fn (array $row): bool => array_sum(array_filter($row, is_int(...))) > 0)), count($page['rows']));
    }

    public function test_what_takes_something_away_is_not_published_unseen(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => ['journeyman']]);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);
        self::assertStringContainsString('Look at the rehearsal first', session('flash')['text']);
        self::assertSame(1, $this->course()->liveRevision?->number);

        $this->post('/keep/courses/clinker/revisions', ['version' => 1, 'receipt' => $this->rehearsal()['receipt']]);
        self::assertSame(2, $this->course()->liveRevision->number);
    }

    public function test_a_rehearsal_of_an_earlier_version_does_not_count(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $receipt = $this->rehearsal()['receipt'];
        $this->edit(1, 'tiers', ['l-garboard'], ['value' => []]);
        $this->post('/keep/courses/clinker/revisions', ['version' => 2, 'receipt' => $receipt]);

        self::assertSame('refused', session('flash')['kind']);
    }

    public function test_other_courses_that_ask_for_a_label_which_is_given_are_named(): void
    {
        $access = ['offer' => 'yard-trial', 'tier' => 'journeyman', 'plan' => '', 'scope' => [], 'lasts' => 'days', 'days' => 10];
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, ...$access, 'labels' => 'oar-bonus'])->assertSessionHasNoErrors();
        self::assertSame([], $this->rehearsal()['elsewhere']);
        $this->post('/keep/courses/steam-frames/draft/edits', ['version' => 0, 'set' => 'only', 'items' => ['l-log'], 'value' => ['label' => 'oar-bonus']])->assertSessionHasNoErrors();
        // What is only in a draft there touches nobody yet.
        self::assertCount(0, $this->rehearsal()['elsewhere']);
        $frames = Course::query()->where('key', 'steam-frames')->sole();
        $frames->liveRevision()->update(['document' => Draft::query()->where('course_id', $frames->id)->sole()->document]);
        self::assertSame(['The label oar-bonus counts in Steam-bent frames too: what changes there is not in this rehearsal. Look there in Sightlines, with a pass of this course, before you publish.'], $this->rehearsal()['elsewhere']);
    }

    public function test_what_only_gives_is_published_at_once(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);

        self::assertSame('done', session('flash')['kind']);
    }

    public function test_bug_on_a_busy_machine_a_small_school_was_sent_to_a_long_rehearsal(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $course = $this->course();

        self::assertNotNull(app(Rehearsing::class)->look(Proposal::draft($course, Draft::query()->sole()), null, seconds: 0.0)->finished_at);
    }

    public function test_an_assistant_who_looks_does_not_stand_for_one_who_publishes(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $this->actingAs($this->person('aksel'));

        self::assertNull($this->rehearsal()['receipt']);
    }

    public function test_kinds_of_viewers_are_told_too(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $visitor = array_column($this->rehearsal()['kinds'], null, 'who')['A visitor'];

        self::assertSame('gains now: Choosing larch', implode('', array_column($visitor['lines'][0]['segments'], 'text')));
    }

    public function test_forty_rows_are_set_in_one_action_and_undone_in_one(): void
    {
        $items = [];
        foreach (CourseDocument::fromJson((string) $this->course()->liveRevision?->document)->readItems() as $item) {
            $items[] = $item->key();
        }
        $this->edit(0, 'opens', $items, ['plan' => 'weekly', 'rule' => 'after_previous', 'days' => 7]);

        self::assertSame(1, DraftEdit::query()->count());
        $plan = json_decode(Draft::query()->firstOrFail()->document)->course->plans->weekly;
        foreach ($items as $key) {
            self::assertSame(7, $plan->{$key}->opens->days);
        }
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        self::assertEquals(json_decode((string) $this->course()->liveRevision?->document), json_decode(Draft::query()->firstOrFail()->document));
    }

    public function test_choices_and_closings_are_kept_as_the_format_has_them(): void
    {
        $this->edit(0, 'guests', ['l-timber'], ['value' => 'no']);
        $this->edit(1, 'when_closed', ['l-timber'], ['value' => 'hidden']);
        $this->edit(2, 'closes', ['l-timber'], ['plan' => 'weekly', 'rule' => 'after_open', 'days' => 9]);
        $this->edit(3, 'observers', ['l-open-day'], ['value' => 'as above']);
        $this->edit(4, 'sample', ['l-timber'], ['value' => 'perhaps'])->assertSessionHasErrors('value');
        $this->edit(4, 'tiers', ['l-timber'], ['value' => ['admiral']])->assertSessionHasErrors();
        $this->edit(4, 'owner', ['l-timber'], ['value' => 'me'])->assertSessionHasErrors('set');

        $document = CourseDocument::fromJson(Draft::query()->firstOrFail()->document);
        self::assertSame([false, 'hide'], [$document->editItem('l-timber')?->read()->raw()->guests, $document->editItem('l-timber')?->read()->raw()->when_closed]);
        self::assertSame(['rule' => 'after_open', 'days' => 9], (array) $document->raw()->plans->weekly->{'l-timber'}->closes);
        self::assertObjectNotHasProperty('observers', (object) $document->editItem('l-open-day')?->read()->raw());
    }

    public function test_what_comes_first_is_kept_as_the_format_has_it(): void
    {
        $after = fn (int $version, array $more) => $this->edit($version, 'after', ['l-rivets'], ['inOrder' => false, ...$more]);
        $after(0, ['mode' => 'at_least', 'count' => 1, 'of' => ['l-garboard', 'l-steam']]);
        self::assertSame('{"at_least":1,"of":["l-garboard","l-steam"]}', json_encode(CourseDocument::fromJson(Draft::query()->firstOrFail()->document)->editItem('l-rivets')?->read()->raw()->after));
        $after(1, ['mode' => 'at_least', 'count' => 3, 'of' => ['l-garboard', 'l-steam']])->assertSessionHasErrors('count');
        $after(1, ['mode' => 'all', 'of' => ['l-rivets']])->assertSessionHasErrors('rule');
        $after(1, ['mode' => 'all', 'of' => ['b-news']])->assertSessionHasErrors('rule');
        $after(1, ['mode' => 'any', 'of' => []]);
        self::assertObjectNotHasProperty('after', (object) CourseDocument::fromJson(Draft::query()->firstOrFail()->document)->editItem('l-rivets')?->read()->raw());
        $this->edit(2, 'after', ['m-planks', 'l-rivets'], ['mode' => 'all', 'of' => ['m-start'], 'inOrder' => true]);

        $document = CourseDocument::fromJson(Draft::query()->firstOrFail()->document);
        self::assertTrue($document->editItem('m-planks')?->read()->raw()->in_order);
        self::assertObjectNotHasProperty('in_order', (object) $document->editItem('l-rivets')?->read()->raw());
    }

    public function test_without_a_change_there_is_nothing_to_rehearse(): void
    {
        $this->get('/keep/courses/clinker/rehearsal')->assertRedirect('/keep/courses/clinker');
    }

    public function test_learners_have_no_part_in_it(): void
    {
        $this->actingAs($this->person('eira'));
        $this->get('/keep/courses/clinker/rehearsal')->assertNotFound();
        $this->get('/keep/courses/clinker/revisions')->assertNotFound();
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 1, 'number' => 1])->assertNotFound();
    }

    public function test_a_rehearsal_asks_a_constant_number_of_queries(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->rehearsal();
        $queries = 0;
        DB::listen(static function () use (&$queries): void {
            $queries++;
        });
        $this->rehearsal();
        $few = $queries;
        $template = Pass::query()->where('course_id', $this->course()->id)->firstOrFail();
        foreach (range(1, 60) as $n) {
            $person = PersonFactory::new()->called("P {$n}", "p{$n}@alder.test")->createOne();
            $template->replicate()->fill(['person_id' => $person->id])->save();
        }
        $queries = 0;
        $this->rehearsal();

        self::assertSame($few, $queries);
    }
}
