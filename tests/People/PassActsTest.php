<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class PassActsTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_pass_is_given_and_writes_no_label(): void
    {
        Offer::query()->where('key', 'yard-trial')->update(['labels' => json_encode(['on-trial'])]);
        $this->act('give', ['jonas'], ['offer' => 'yard-trial'])->assertSessionHasNoErrors();
        $pass = $this->pass('jonas');
        self::assertSame(['2026-03-10 13:00', '2026-03-20 13:00', 'by hand'], [self::at($pass->starts_at), self::at($pass->ends_at), $pass->source]);
        self::assertSame(0, Label::query()->where('person_id', $pass->person_id)->count());
        self::assertSame('pass.given', Activity::query()->where('person_id', $pass->person_id)->latest('id')->value('action'));
    }

    /** The clocks go forward on 29 March: ten days end at the same time by the clock on the wall. */
    public function test_of_several_passes_of_an_offer_the_longest_is_meant(): void
    {
        $eira = $this->person('eira');
        $like = $this->pass('eira');
        Pass::query()->where('person_id', $eira->id)->delete();
        $made = fn (?string $ends): int => $like->replicate()->fill(['ends_at' => $ends])->forceFill(['id' => null])->newQuery()->create([...$like->replicate()->getAttributes(), 'ends_at' => $ends])->id;
        foreach ([[['2026-05-01 00:00:00', '2026-08-01 00:00:00', '2026-06-01 00:00:00'], 1], [['2026-08-01 00:00:00', null, '2026-06-01 00:00:00'], 1], [['2026-08-01 00:00:00', '2026-06-01 00:00:00'], 0]] as [$ends, $longest]) {
            Pass::query()->where('person_id', $eira->id)->delete();
            $ids = array_map($made, $ends);
            $this->act('pause', ['eira'], ['offer' => 'apprentice-pass'])->assertSessionHas('flash.kind', 'done');
            self::assertSame([$ids[$longest]], Pass::query()->where('person_id', $eira->id)->where('state', 'paused')->pluck('id')->all());
        }
    }

    public function test_a_pass_is_extended_to_a_date(): void
    {
        $this->act('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 1, 'until' => '2030-06-01T09:00']);
        self::assertSame('2030-06-01 09:00', self::at($this->pass('eira')->ends_at));
        self::assertSame(['have it as long already' => 1], $this->previewed('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 1, 'until' => '2030-06-01T09:00']));
        self::assertSame(['have it to Sat 1 Jun 2030, 09:01' => 1], $this->previewed('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 1, 'until' => '2030-06-01T09:01']));
        $this->get('/keep/people/'.$this->person('eira')->id)->assertSee('to Sat 1 Jun 2030, 09:00');
    }

    public function test_days_across_a_clock_change_end_at_the_same_wall_clock_time(): void
    {
        $this->act('give', ['jonas'], ['offer' => 'yard-trial', 'from' => '2026-03-25T09:30']);
        self::assertSame('2026-04-04 09:30', self::at($this->pass('jonas')->ends_at));
        $this->act('extend', ['jonas'], ['pass' => $this->pass('jonas')->id, 'days' => 200]);
        self::assertSame('2026-10-21 09:30', self::at($this->pass('jonas')->ends_at));
        $this->act('extend', ['jonas'], ['pass' => $this->pass('jonas')->id, 'days' => 10]);
        self::assertSame('2026-10-31 09:30', self::at($this->pass('jonas')->ends_at));
    }

    public function test_an_extension_counts_from_the_end_and_not_from_today(): void
    {
        $end = $this->pass('nina')->ends_at;
        self::assertNotNull($end);
        self::assertSame(['would have had it to Sat 7 Mar, 13:00' => 1], $this->previewed('extend', ['nina'], ['offer' => 'yard-trial', 'days' => 1]));
        $this->act('extend', ['nina'], ['offer' => 'yard-trial', 'days' => 14]);
        self::assertSame(self::at($end->modify('+14 days')), self::at($this->pass('nina')->ends_at));
    }

    public function test_a_renewal_carries_its_pacing_on_unless_it_is_to_count_anew(): void
    {
        $this->act('end', ['eira'], ['offer' => 'apprentice-pass']);
        $this->act('give', ['eira'], ['offer' => 'journeyman-pass']);
        self::assertSame('2026-03-02 13:00', self::at($this->pass('eira')->paced_from));
        $this->act('withdraw', ['eira'], ['offer' => 'journeyman-pass']);
        $this->act('give', ['eira'], ['offer' => 'journeyman-pass', 'anew' => true]);
        self::assertNull($this->pass('eira')->paced_from);
    }

    public function test_whoever_holds_it_as_long_already_is_left_alone(): void
    {
        self::assertSame(['get it for good' => 1, 'hold it for as long already' => 1], $this->previewed('give', ['jonas', 'tuva'], ['offer' => 'journeyman-pass']));
        $this->act('give', ['jonas', 'tuva'], ['offer' => 'journeyman-pass']);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('tuva')->id)->count());
        $this->act('give', ['tuva'], ['offer' => 'journeyman-pass'])->assertSessionHas('flash.kind', 'refused');
    }

    public function test_a_paused_pass_whose_days_stand_still_gets_them_back(): void
    {
        $end = $this->pass('eira')->ends_at;
        self::assertNotNull($end);
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass', 'stops' => true]);
        self::assertSame('paused', $this->pass('eira')->state);
        Carbon::setTestNow('2026-03-15T12:00:00Z');
        $this->act('resume', ['eira'], ['offer' => 'apprentice-pass']);
        $pass = $this->pass('eira');
        self::assertSame(['active', self::at($end->modify('+5 days')), '2026-03-07 13:00'], [$pass->state, self::at($pass->ends_at), self::at($pass->paced_from)]);
    }

    public function test_a_pass_that_was_to_begin_later_begins_now_and_ends_when_it_was_to_end(): void
    {
        self::assertSame(['have one that has begun' => 1], $this->previewed('begin', ['eira'], ['offer' => 'apprentice-pass']));
        $this->act('begin', ['eira'], ['offer' => 'apprentice-pass'])->assertSessionHas('flash.kind', 'refused');
        Pass::query()->whereKey($this->pass('eira')->id)->update(['starts_at' => '2026-03-12 08:00:00', 'paced_from' => '2026-03-14 08:00:00']);
        $end = self::at($this->pass('eira')->ends_at);
        self::assertSame(['have it from now on' => 1], $this->previewed('begin', ['eira'], ['offer' => 'apprentice-pass']));
        $this->act('begin', ['eira'], ['pass' => $this->pass('eira')->id]);
        self::assertSame(['2026-03-10 13:00', $end, null], [self::at($this->pass('eira')->starts_at), self::at($this->pass('eira')->ends_at), $this->pass('eira')->paced_from]);
        $this->get("/keep/people/{$this->person('eira')->id}")->assertInertia(fn (Page $page) => $page->where('history.0.words', 'Apprentice pass let begin at once'));
        $this->post('/keep/people/acts/'.ActRecord::query()->max('id').'/undo')->assertSessionHas('flash.kind', 'done');
        self::assertSame('2026-03-12 09:00', self::at($this->pass('eira')->starts_at));
    }

    public function test_a_paused_pass_that_is_withdrawn_and_given_back_is_not_paused_any_more(): void
    {
        $end = self::at($this->pass('eira')->ends_at);
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass', 'stops' => true]);
        $this->act('withdraw', ['eira'], ['pass' => $this->pass('eira')->id]);
        Carbon::setTestNow('2026-03-15T12:00:00Z');
        $this->act('give-back', ['eira'], ['pass' => $this->pass('eira')->id]);
        $pass = $this->pass('eira');
        self::assertSame(['active', null, $end], [$pass->state, $pass->paused_at, self::at($pass->ends_at)]);
    }

    public function test_a_paused_pass_whose_days_go_on_loses_them(): void
    {
        $end = self::at($this->pass('eira')->ends_at);
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass', 'stops' => false]);
        Carbon::setTestNow('2026-03-15T12:00:00Z');
        $this->act('resume', ['eira'], ['offer' => 'apprentice-pass']);
        self::assertSame([$end, null], [self::at($this->pass('eira')->ends_at), self::at($this->pass('eira')->paced_from)]);
    }

    public function test_ending_changing_withdrawing_and_giving_back(): void
    {
        $this->act('end', ['eira'], ['pass' => $this->pass('eira')->id]);
        self::assertSame('2026-03-10 13:00', self::at($this->pass('eira')->ends_at));
        $this->act('change', ['sunniva'], ['pass' => $this->pass('sunniva')->id, 'offer' => 'journeyman-pass']);
        self::assertSame('journeyman-pass', $this->pass('sunniva')->offer->key);
        $this->act('change', ['sunniva'], ['pass' => $this->pass('sunniva')->id, 'offer' => 'frames-pass'])->assertSessionHas('flash.kind', 'refused');
        $this->act('withdraw', ['torvald'], ['pass' => $this->pass('torvald')->id]);
        self::assertSame('revoked', $this->pass('torvald')->state);
        $this->act('give-back', ['torvald'], ['pass' => $this->pass('torvald')->id]);
        self::assertSame('active', $this->pass('torvald')->state);
        // Another person's pass is not theirs.
        $this->act('end', ['jonas'], ['pass' => $this->pass('torvald')->id])->assertSessionHas('flash.kind', 'refused');
    }

    public function test_an_item_is_handed_out_and_taken_back(): void
    {
        $this->act('grant', ['sunniva'], ['course' => 'clinker', 'item' => 'm-planks', 'until' => '2026-03-20T18:00']);
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker/l-garboard')->assertOk();
        $this->actingAs($this->person('hege'))->act('take-back', ['sunniva'], ['grant' => Grant::query()->sole()->id]);
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker/l-garboard')->assertForbidden();
        $this->actingAs($this->person('hege'))->act('grant', ['sunniva'], ['course' => 'clinker', 'item' => 'nothing'])->assertSessionHasErrors('item');
    }

    public function test_an_observer_sees_a_new_pass_at_once(): void
    {
        $this->act('observe', ['jonas'], ['observer' => $this->person('amund')->id]);
        self::assertSame(1, ObserverTie::query()->count());
        $why = fn () => $this->getJson("/keep/courses/steam-frames/why?item=l-log&v[]=observer:person:{$this->person('jonas')->id}");
        $why()->assertJsonPath('word', 'Open as a sample');
        $this->act('give', ['jonas'], ['offer' => 'frames-pass']);
        $this->getJson("/keep/courses/steam-frames/why?item=l-rive&v[]=observer:person:{$this->person('jonas')->id}&at=2026-03-10T12:00:00Z")->assertJsonPath('gates.2.name', 'Let in')->assertJsonPath('gates.2.passed', true);
        $this->act('observe', ['jonas'], ['observer' => $this->person('jonas')->id])->assertSessionHasErrors('observer');
        $this->act('unobserve', ['jonas'], ['observer' => $this->person('amund')->id]);
        self::assertSame(0, ObserverTie::query()->count());
    }

    public function test_people_are_written_to_by_name(): void
    {
        $this->act('write', ['eira', 'jonas'], ['subject' => 'Hello {name}', 'body' => 'Dear {name}']);
        self::assertSame(['Hello Eira Holm', 'Hello Jonas Wren'], Message::query()->orderBy('id')->pluck('subject')->all());
        $this->get('/keep/outbox')->assertOk()->assertSee('Hello Jonas Wren');
    }

    public function test_what_was_done_to_many_is_taken_back_in_one_step(): void
    {
        $before = Pass::query()->orderBy('id')->get()->toArray();
        $labels = Label::query()->count();
        $this->act('give', ['jonas', 'nina', 'idun'], ['offer' => 'journeyman-pass']);
        $this->act('label', ['jonas', 'jorunn'], ['label' => 'oar-bonus']);
        $this->act('extend', ['eira', 'sunniva'], ['offer' => 'apprentice-pass', 'days' => 5]);
        foreach (ActRecord::query()->orderByDesc('id')->pluck('id') as $act) {
            $this->post("/keep/people/acts/{$act}/undo")->assertSessionHas('flash.kind', 'done');
        }
        self::assertEquals($before, Pass::query()->orderBy('id')->get()->toArray());
        self::assertSame($labels, Label::query()->count());
        // Not twice.
        $this->post('/keep/people/acts/'.ActRecord::query()->max('id').'/undo')->assertSessionHas('flash.kind', 'refused');
    }

    public function test_what_was_changed_again_since_is_not_taken_back(): void
    {
        $this->act('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 5]);
        $first = ActRecord::query()->sole()->id;
        $this->act('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 5]);
        $end = self::at($this->pass('eira')->ends_at);
        $this->post("/keep/people/acts/{$first}/undo")->assertSessionHas('flash.kind', 'refused');
        self::assertSame($end, self::at($this->pass('eira')->ends_at));
    }

    public function test_a_double_click_gives_one_pass(): void
    {
        $this->act('give', ['jonas'], ['offer' => 'yard-trial']);
        $this->act('give', ['jonas'], ['offer' => 'yard-trial']);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('jonas')->id)->count());
    }

    public function test_nonsense_is_refused_at_its_field(): void
    {
        $this->act('give', ['jonas'])->assertSessionHasErrors(['offer' => 'Please choose an offer.']);
        $this->act('give', ['jonas'], ['offer' => 'nothing'])->assertSessionHasErrors('offer');
        $this->act('give', ['jonas'], ['offer' => 'taster', 'from' => 'soon'])->assertSessionHasErrors('from');
        $this->act('extend', ['jonas'], ['offer' => 'taster'])->assertSessionHasErrors('days');
        $this->act('extend', ['jonas'], ['offer' => 'taster', 'days' => 0])->assertSessionHasErrors('days');
        $this->act('label', ['jonas'], ['label' => 'a,b'])->assertSessionHasErrors('label');
        $this->act('fly', ['jonas'])->assertSessionHasErrors('do');
        $this->post('/keep/people/acts', ['do' => 'label', 'label' => 'x'])->assertSessionHasErrors('people');
        self::assertSame(0, ActRecord::query()->count());
    }
}
