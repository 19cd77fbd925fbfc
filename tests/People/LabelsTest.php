<?php

declare(strict_types=1);

namespace Tests\People;

use App\Access\Plans;
use App\Access\Viewers;
use App\Models\Document\DocumentOffer;
use App\Models\Label;
use App\Models\Pass;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\MigrationsStarted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** Labels that people have for good, for a time, and for as long as a pass lasts: the same on every screen. */
final class LabelsTest extends TestCase
{
    use ActsOnPeople;
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** The yard trial gives the label of the bonus lesson, published. */
    private function trialGivesTheBonus(): void
    {
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'offer' => 'yard-trial', 'tier' => 'journeyman', 'plan' => '', 'scope' => [], 'lasts' => 'days', 'days' => 10, 'labels' => 'oar-bonus'])->assertSessionHasNoErrors();
        $this->published('clinker');
    }

    private function published(string $course): void
    {
        $receipt = $this->get("/keep/courses/{$course}/rehearsal")->assertOk()->inertiaProps('receipt');
        $this->post("/keep/courses/{$course}/revisions", ['version' => 1, 'note' => '', 'receipt' => $receipt])->assertSessionHas('flash.kind', 'done');
        $this->inAnotherProcess();
    }

    private function seesTheBonus(string $name): bool
    {
        $decider = app(Plans::class)->live($this->course()) ?? self::fail('not published');
        $position = $decider->course->outline->positionOf('l-bonus') ?? self::fail('no such lesson');

        return $decider->snapshot(app(Viewers::class)->of($this->person($name), $this->course()), Carbon::now()->getTimestamp())->standings[$position]->state->value !== 'hidden';
    }

    /** @return list<string> */
    private function listed(string $label): array
    {
        $people = $this->get('/keep/people?label='.urlencode($label))->assertOk()->inertiaProps('people');

        return is_array($people) ? array_map(strval(...), array_column($people, 'name')) : [];
    }

    /** @return array<array-key, mixed> of one label of somebody */
    private function line(string $name, string $label): array
    {
        $labels = $this->get('/keep/people/'.$this->person($name)->id)->assertOk()->inertiaProps('labels');

        return is_array($labels) ? array_column($labels, null, 'label')[$label] ?? [] : [];
    }

    public function test_a_label_of_an_offer_is_held_while_a_pass_of_it_is_active(): void
    {
        self::assertFalse($this->seesTheBonus('marius'));
        $this->trialGivesTheBonus();
        self::assertTrue($this->seesTheBonus('marius'));
        self::assertSame(0, Label::query()->where('person_id', $this->person('marius')->id)->count());
        self::assertContains('Marius Hval', $this->listed('oar-bonus'));
        self::assertSame(['Yard trial', true], [$this->line('marius', 'oar-bonus')['source'], $this->line('marius', 'oar-bonus')['byPass']]);

        $this->act('pause', ['marius'], ['offer' => 'yard-trial', 'stops' => true])->assertSessionHas('flash.kind', 'done');
        self::assertFalse($this->seesTheBonus('marius'));
        self::assertNotContains('Marius Hval', $this->listed('oar-bonus'));
        $this->act('resume', ['marius'], ['offer' => 'yard-trial']);
        self::assertTrue($this->seesTheBonus('marius'));
        Carbon::setTestNow($this->pass('marius')->ends_at);
        self::assertFalse($this->seesTheBonus('marius'));
        self::assertSame([], $this->line('marius', 'oar-bonus'));
    }

    public function test_it_holds_in_other_courses_too(): void
    {
        $this->edited = 'steam-frames';
        $this->edit(0, 'only', ['l-log'], ['value' => ['label' => 'oar-bonus']])->assertSessionHasNoErrors();
        $this->published('steam-frames');
        $this->edited = 'clinker';
        $this->trialGivesTheBonus();
        $this->act('give', ['marius'], ['offer' => 'frames-pass'])->assertSessionHasNoErrors();
        $this->act('give', ['eira'], ['offer' => 'frames-pass'])->assertSessionHasNoErrors();
        $decider = app(Plans::class)->live($this->course('steam-frames')) ?? self::fail('not published');
        $why = fn (string $name): array => array_map(static fn ($reason): string => $reason->value, $decider->snapshot(app(Viewers::class)->of($this->person($name), $this->course('steam-frames')), Carbon::now()->getTimestamp())->why($decider->course->outline->positionOf('l-log') ?? 0));

        self::assertSame([], $why('marius'));
        self::assertSame(['not_for_you'], $why('eira'));
        $this->act('withdraw', ['marius'], ['offer' => 'yard-trial']);
        self::assertSame(['not_for_you'], $why('marius'));
    }

    public function test_a_label_is_given_for_a_time(): void
    {
        $this->act('label', ['eira'], ['label' => 'oar-bonus', 'until' => '2026-03-12T09:00'])->assertSessionHasNoErrors();
        self::assertTrue($this->seesTheBonus('eira'));
        self::assertSame(['by hand', false, 'Thu 12 Mar, 09:00'], array_values(array_intersect_key($this->line('eira', 'oar-bonus'), ['source' => 1, 'byPass' => 1, 'until' => 1])));
        self::assertContains('Eira Holm', $this->listed('oar-bonus'));
        $this->get('/keep/people/'.$this->person('eira')->id)->assertSee('Got the label oar-bonus, to Thu 12 Mar, 09:00');
        Carbon::setTestNow('2026-03-12T08:00:00Z');
        self::assertFalse($this->seesTheBonus('eira'));
        self::assertNotContains('Eira Holm', $this->listed('oar-bonus'));
    }

    public function test_giving_it_again_says_what_becomes_of_it(): void
    {
        $this->act('label', ['eira'], ['label' => 'keen', 'until' => '2026-03-12T09:00']);
        $label = ['label' => 'keen'];
        self::assertSame(['have it as long already' => 1], $this->previewed('label', ['eira'], [...$label, 'until' => '2026-03-12T09:00']));
        self::assertSame(['have it longer' => 1], $this->previewed('label', ['eira'], [...$label, 'until' => '2026-03-13T09:00']));
        self::assertSame(['have it for less time' => 1], $this->previewed('label', ['eira'], [...$label, 'until' => '2026-03-11T09:00']));
        self::assertSame(['have it for good now' => 1], $this->previewed('label', ['eira'], $label));
        $this->act('label', ['eira'], ['label' => 'keen', 'until' => '2026-03-01T09:00'])->assertSessionHasErrors('until');
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        self::assertSame(['do not have it' => 1], $this->previewed('unlabel', ['eira'], $label));
        self::assertSame(['get it' => 1], $this->previewed('label', ['eira'], $label));
        $this->act('label', ['eira'], $label);
        self::assertSame(['have it already' => 1], $this->previewed('label', ['eira'], $label));
        self::assertSame(['have it for good already' => 1], $this->previewed('label', ['eira'], [...$label, 'until' => '2026-04-01T09:00']));
        self::assertSame(1, Label::query()->where('person_id', $this->person('eira')->id)->where('label', 'keen')->whereNull('ends_at')->whereNull('starts_at')->count());
        self::assertSame(['lose it' => 1], $this->previewed('unlabel', ['eira'], $label));
    }

    public function test_what_a_pass_gives_cannot_be_taken_by_itself(): void
    {
        $this->trialGivesTheBonus();

        self::assertSame(['have it by a pass, for as long as that is active' => 1], $this->previewed('unlabel', ['marius'], ['label' => 'oar-bonus']));
    }

    /** As it was kept before: the offer's row said what it gave, and purchases wrote it to people. */
    public function test_labels_that_purchases_wrote_are_taken_over(): void
    {
        $migration = require database_path('migrations/2026_11_27_000015_labels_hold_with_passes.php');
        assert(is_object($migration) && method_exists($migration, 'up') && method_exists($migration, 'down'));
        $this->openAfter(0, 'l-planes', 3);
        $this->openAfter(1, 'l-planes', 4);
        event(new MigrationsStarted('down'));
        $migration->down();
        DB::table('offers')->where('key', 'journeyman-pass')->update(['labels' => '["oar-bonus"]']);
        $bought = ['label' => 'oar-bonus', 'source' => 'Journeyman pass'];
        foreach (['tuva', 'eskil'] as $name) {
            DB::table('labels')->insert(['person_id' => $this->person($name)->id, ...$bought]);
        }
        Pass::query()->where('person_id', $this->person('eskil')->id)->update(['state' => 'revoked']);
        $before = $this->course()->liveRevision?->number;
        $migration->up();
        event(new MigrationsEnded('up'));
        $this->inAnotherProcess();

        self::assertTrue($this->seesTheBonus('tuva'));
        self::assertSame(0, Label::query()->where('person_id', $this->person('tuva')->id)->count());
        self::assertSame(1, Label::query()->where('person_id', $this->person('eskil')->id)->count());
        self::assertSame(1, Label::query()->where('person_id', $this->person('jorunn')->id)->where('source', 'by hand')->count());
        self::assertSame(($before ?? 0) + 1, $this->course()->refresh()->liveRevision?->number);
        self::assertSame([$this->person('eskil')->id], DB::table('activities')->where('action', 'label.kept')->pluck('person_id')->all());
        $this->get('/keep/people/'.$this->person('eskil')->id)->assertSee('Keeps the label oar-bonus, which Journeyman pass had given');
        self::assertStringContainsString('stay with those who have them: 1', (string) $this->course()->liveRevision?->note);
        // The draft goes on, and what is undone of it keeps the labels.
        $labels = fn (): array => array_filter(array_column(array_map(static fn (DocumentOffer $offer): array => ['key' => $offer->key(), 'labels' => $offer->labels()], $this->document()->readOffers()), 'labels', 'key'));
        self::assertSame(['journeyman-pass' => ['oar-bonus']], $labels());
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 3])->assertSessionHasNoErrors();
        self::assertEquals(['journeyman-pass' => ['oar-bonus']], $labels());
    }

    public function test_people_hold_it_at_once_when_a_rehearsed_offer_gives_it(): void
    {
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'offer' => 'yard-trial', 'tier' => 'journeyman', 'plan' => 'weekly', 'scope' => [], 'lasts' => 'days', 'days' => 10, 'labels' => 'oar-bonus'])->assertSessionHasNoErrors();
        $page = $this->get('/keep/courses/clinker/rehearsal')->assertOk();

        self::assertStringContainsString('labels that it gives', (string) json_encode($page->inertiaProps('changes')));
        self::assertStringContainsString('Bonus: building the oars', (string) json_encode($page->inertiaProps()));
    }
}
