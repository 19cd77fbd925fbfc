<?php

declare(strict_types=1);

namespace Tests\People;

use App\Console\CleanUp;
use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\Message;
use App\Models\Pass;
use App\People\ActOnPeople;
use App\People\Staged\PrepareAct;
use App\People\Staged\StagedActs;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Acts on more people than a page waits for: prepared by the queue, seen, done in one go, taken back in one. */
final class ManyPeopleTest extends TestCase
{
    use ActsOnCrowds;
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return iterable<string, array{int, array<string, mixed>}> */
    public static function acts(): iterable
    {
        foreach (['prepared in passing' => 120, 'prepared by the queue' => ActOnPeople::AT_ONCE + 1] as $how => $people) {
            yield "extend, {$how}" => [$people, ['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 30]];
            yield "pause, {$how}" => [$people, ['do' => 'pause', 'offer' => 'apprentice-pass', 'stops' => true]];
            yield "end, {$how}" => [$people, ['do' => 'end', 'offer' => 'apprentice-pass']];
            yield "give, {$how}" => [$people, ['do' => 'give', 'offer' => 'taster']];
            yield "hand out, {$how}" => [$people, ['do' => 'grant', 'course' => 'clinker', 'item' => 'm-planks']];
            yield "label, {$how}" => [$people, ['do' => 'label', 'label' => 'cohort']];
        }
    }

    /** @param  array<string, mixed>  $form */
    #[DataProvider('acts')]
    public function test_it_is_done_for_all_and_taken_back_for_all(int $people, array $form): void
    {
        $this->crowd($people);
        $before = $this->rows();
        $this->doIt($form);
        $act = ActRecord::query()->sole();

        self::assertSame(['done', $people], [$act->state, $act->touched]);
        self::assertNotEquals($before, $this->rows());
        self::assertSame($people, Activity::query()->where('act_id', $act->id)->count());
        $this->post("/keep/people/acts/{$act->id}/undo");
        self::assertEquals($before, $this->rows());
        self::assertNotNull($act->refresh()->undone_at);
        self::assertSame($people, Activity::query()->where('action', 'act.undone')->count());
        $this->post("/keep/people/acts/{$act->id}/undo")->assertSessionHas('flash.kind', 'refused');
    }

    /** What the one way does to each, the other does too: row by row, but for the numbers of rows. */
    #[DataProvider('forms')]
    public function test_many_get_what_a_few_would_get(string $do, string $more): void
    {
        parse_str($more, $form);
        $this->crowd(110);
        $ids = $this->crowdIds();
        foreach (array_chunk($ids, 60) as $some) {
            $this->post('/keep/people/acts', ['do' => $do, 'people' => $some, ...$form])->assertSessionHas('flash.kind', 'done');
        }
        $few = $this->rows(false);
        foreach (ActRecord::query()->orderByDesc('id')->pluck('id') as $act) {
            $this->post("/keep/people/acts/{$act}/undo")->assertSessionHas('flash.kind', 'done');
        }
        $this->post('/keep/people/acts', ['do' => $do, 'people' => $ids, ...$form])->assertSessionHas('flash.kind', 'done');
        self::assertEquals($few, $this->rows(false));
    }

    /** @return list<array{string, string}> */
    public static function forms(): array
    {
        return [['extend', 'offer=apprentice-pass&days=10'], ['pause', 'offer=apprentice-pass'], ['withdraw', 'offer=apprentice-pass'], ['give', 'offer=journeyman-pass'], ['give', 'offer=yard-trial'], ['grant', 'course=clinker&item=m-planks'], ['label', 'label=keen']];
    }

    public function test_nothing_is_done_before_it_was_seen_and_meant(): void
    {
        $this->crowd(ActOnPeople::AT_ONCE + 5);
        Queue::fake([PrepareAct::class]);
        $before = $this->rows();
        $form = ['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 30, 'filter' => ['holds' => 'apprentice-pass', 'find' => 'crew']];
        $this->postJson('/keep/people/preview', $form)->assertOk()->assertJson(['long' => true, 'people' => ActOnPeople::AT_ONCE + 5, 'outcomes' => []]);
        $address = (string) $this->post('/keep/people/acts', $form)->assertRedirect()->headers->get('Location');
        $this->get($address)->assertInertia(fn (Page $page) => $page->component('keep/Act')->where('state', 'preparing')->where('looked', 0)->where('of', ActOnPeople::AT_ONCE + 5));
        $act = ActRecord::query()->sole();

        // One worker is killed after a group; another goes on from there.
        app(StagedActs::class)->prepareSome($act);
        self::assertSame(500, $act->refresh()->looked);
        (new PrepareAct($act->id))->handle(app(StagedActs::class));
        self::assertEquals($before, $this->rows());
        self::assertSame(0, Activity::query()->where('action', 'pass.extended')->count());
        $this->get($address)->assertInertia(fn (Page $page) => $page->where('state', 'prepared')->where('touched', ActOnPeople::AT_ONCE + 5)->where('outcomes.0.count', ActOnPeople::AT_ONCE + 5));
        $this->get('/keep/people')->assertInertia(fn (Page $page) => $page->where('underWay.0.id', $act->id)->where('underWay.0.state', 'prepared'));

        $this->post($address);
        self::assertSame(ActOnPeople::AT_ONCE + 5, Activity::query()->where('action', 'pass.extended')->count());
        $done = $this->rows();
        $this->post($address);
        self::assertEquals($done, $this->rows());
        $this->get('/keep/people')->assertInertia(fn (Page $page) => $page->where('underWay', []));
    }

    public function test_whoever_is_changed_between_looking_and_doing_gets_what_they_would_get_then(): void
    {
        $ids = $this->crowd(130);
        $act = $this->prepared(['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 10], $ids);
        $this->post('/keep/people/acts', ['do' => 'extend', 'people' => [$ids[7]], 'offer' => 'apprentice-pass', 'days' => 100]);
        $this->post('/keep/people/acts', ['do' => 'withdraw', 'people' => [$ids[9]], 'offer' => 'apprentice-pass']);
        app(ActOnPeople::class)->perform($act);

        $ends = fn (int $person): ?string => Pass::query()->where('person_id', $person)->sole()->ends_at?->format('Y-m-d');
        self::assertSame(['2026-06-11', '2026-09-19', '2026-06-01'], [$ends($ids[0]), $ends($ids[7]), $ends($ids[9])]);
        self::assertSame(129, $act->refresh()->touched);
        self::assertSame(129, Activity::query()->where('act_id', $act->id)->count());
    }

    public function test_two_prepared_acts_on_the_same_people_add_up(): void
    {
        $ids = $this->crowd(130);
        $one = $this->prepared(['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 10], $ids);
        $two = $this->prepared(['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 5], array_slice($ids, 30));
        app(ActOnPeople::class)->perform($two);
        app(ActOnPeople::class)->perform($one);

        self::assertSame(['2026-06-11' => 30, '2026-06-16' => 100], array_count_values(array_map(static fn (mixed $end): string => substr((string) $end, 0, 10), Pass::query()->whereIn('person_id', $ids)->orderBy('ends_at')->toBase()->pluck('ends_at')->all())));
    }

    public function test_a_publication_between_looking_and_doing_is_not_passed_over(): void
    {
        $act = $this->prepared(['do' => 'give', 'offer' => 'taster'], $this->crowd(130));
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'sample', 'items' => ['l-timber'], 'value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        $this->post("/keep/people/acts/{$act->id}")->assertSessionHas('flash.text', 'The course has been published since this was prepared. Please prepare it anew.');
        self::assertSame('prepared', $act->refresh()->state);
    }

    public function test_what_was_looked_at_long_ago_is_not_done(): void
    {
        $act = $this->prepared(['do' => 'give', 'offer' => 'taster'], $this->crowd(130));
        Carbon::setTestNow(Carbon::now()->addSeconds(StagedActs::HOLDS + 1));
        $this->get("/keep/people/acts/{$act->id}")->assertInertia(fn (Page $page) => $page->where('stale', true));
        $this->post("/keep/people/acts/{$act->id}")->assertSessionHas('flash.kind', 'refused');
        // A day later it is cleaned up, with all that was laid down for it.
        Carbon::setTestNow(Carbon::now()->addDays(2));
        app(CleanUp::class)();
        foreach (['people_acts', 'act_changes'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
        self::assertSame(0, DB::table('activities')->whereNotNull('act_id')->count());
    }

    public function test_it_can_be_left(): void
    {
        $act = $this->prepared(['do' => 'give', 'offer' => 'taster'], $this->crowd(130));
        $this->delete("/keep/people/acts/{$act->id}")->assertRedirect('/keep/people');
        self::assertSame([0, 0], [ActRecord::query()->count(), DB::table('act_changes')->count()]);
    }

    public function test_a_double_click_does_its_work_once(): void
    {
        foreach ([$this->crowd(130), [$this->person('eira')->id]] as $ids) {
            $form = ['do' => 'extend', 'people' => $ids, 'offer' => 'apprentice-pass', 'days' => 10, 'once' => 'click '.count($ids)];
            $this->post('/keep/people/acts', $form)->assertSessionHas('flash.kind', 'done');
            $done = $this->rows();
            $this->post('/keep/people/acts', $form)->assertSessionHas('flash.kind', 'done');
            self::assertEquals($done, $this->rows());
        }
        self::assertSame(2, ActRecord::query()->count());
    }

    public function test_letters_to_many_go_out_once_each(): void
    {
        $ids = $this->crowd(ActOnPeople::AT_ONCE + 1);
        $act = $this->prepared(['do' => 'write', 'subject' => 'Dear {name}', 'body' => 'The shed is warm, {name}.'], $ids);
        self::assertSame(0, Message::query()->where('subject', 'like', 'Dear %')->count());
        $this->post("/keep/people/acts/{$act->id}");
        self::assertSame(count($ids), Message::query()->where('subject', 'like', 'Dear Crew %')->count());
        self::assertFalse(app(StagedActs::class)->sendLetters($act));
        self::assertSame(0, DB::table('act_letters')->count());
        self::assertCount(count($ids), Message::query()->where('subject', 'like', 'Dear Crew %')->get());
        self::assertFalse($act->refresh()->canBeUndone());
    }

    public function test_only_who_asked_for_it_and_administrators_see_it(): void
    {
        $act = $this->prepared(['do' => 'give', 'offer' => 'taster'], $this->crowd(130));
        $this->actingAs($this->person('aksel'))->get("/keep/people/acts/{$act->id}")->assertNotFound();
        $this->post("/keep/people/acts/{$act->id}")->assertNotFound();
        $this->delete("/keep/people/acts/{$act->id}")->assertNotFound();
        $this->actingAs($this->person('eira'))->get("/keep/people/acts/{$act->id}")->assertNotFound();
        self::assertSame('prepared', $act->refresh()->state);
    }
}
