<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\Offer;
use App\Models\Pass;
use App\Models\Purchase;
use App\Offers\Sales\ShopEvents;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Drafts\EditsDrafts;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** Who may take an offer, as what, and what those are told who may not: at the checkout, and in every other place. */
final class TermsTest extends TestCase
{
    use ActsOnPeople;
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private function refusal(?string $who, string $offer): ?string
    {
        $this->app['auth']->forgetGuards();
        $refusal = ($who === null ? $this : $this->actingAs($this->person($who)))->get("/checkout/{$offer}")->assertOk()->inertiaProps('refusal');

        return is_string($refusal) ? $refusal : null;
    }

    /** @param  array<string, mixed>  $terms */
    private static function set(string $offer, array $terms): void
    {
        Offer::query()->where('key', $offer)->sole()->update($terms);
    }

    /** @param  array<string, mixed>  $terms */
    #[DataProvider('terms')]
    public function test_terms_are_said_in_one_sentence_and_kept(string $offer, array $terms, ?string $who, ?string $refusal): void
    {
        self::set($offer, $terms);
        self::assertSame($refusal, $this->refusal($who, $offer));
        $passes = Pass::query()->count();
        $answer = $this->post("/checkout/{$offer}", $who === null ? ['name' => 'Alva', 'email' => 'alva@elsewhere.test'] : []);
        $refusal === null ? $answer->assertSessionHas('flash.kind', 'done') : $answer->assertSessionHas('flash.text', $refusal);
        self::assertSame($passes + ($refusal === null ? 1 : 0), Pass::query()->count());
        // What cannot be taken stands on no page.
        if ($refusal !== null) {
            $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('offers', fn ($offers): bool => ! in_array($offer, array_column(json_decode((string) json_encode($offers), true), 'key'), true)));
        }
    }

    /** @return \Generator<string, array{string, array<string, mixed>, ?string, ?string}> */
    public static function terms(): \Generator
    {
        yield 'no terms, a visitor' => ['tools-only', [], null, null];
        yield 'no terms, somebody known' => ['tools-only', [], 'jonas', null];
        yield 'to be sold later' => ['tools-only', ['sold_from' => '2026-03-10 12:00:01'], null, 'This is sold from Tue 10 Mar, 13:00, Oslo time.'];
        yield 'sold from now on' => ['tools-only', ['sold_from' => '2026-03-10 12:00:00'], null, null];
        yield 'sold to this second' => ['tools-only', ['sold_until' => '2026-03-10 12:00:00'], null, 'This was sold until Tue 10 Mar, 13:00, Oslo time.'];
        yield 'sold a second longer' => ['tools-only', ['sold_until' => '2026-03-10 12:00:01'], null, null];
        yield 'all places taken' => ['tools-only', ['most' => 1], 'jonas', 'All places have been taken.'];
        yield 'a place left' => ['tools-only', ['most' => 2], 'jonas', null];
        yield 'a label that they have not' => ['tools-only', ['only_label' => 'oar-bonus'], 'jonas', 'This is for some of the people of this school, and you are not among them.'];
        yield 'a label that nobody unknown has' => ['tools-only', ['only_label' => 'oar-bonus'], null, 'This is for some of the people of this school, and you are not among them.'];
        yield 'after another offer' => ['tools-only', ['not_after' => ['taster', 'frames-pass']], 'oda', 'This is not for those who hold, or have held, what you have.'];
        yield 'after another that they never held' => ['tools-only', ['not_after' => ['taster']], 'oda', null];
        yield 'a trial for who is new' => ['yard-trial', [], 'jonas', null];
        yield 'a trial for who has held a pass of the course' => ['yard-trial', [], 'gro', 'This is for those who have not held a pass of this course before.'];
        yield 'a trial for who holds one of another course' => ['yard-trial', [], 'oda', null];
        yield 'a trial again while it runs' => ['yard-trial', [], 'marius', 'You have had this once; it is there once for each person.'];
        yield 'a trial again when it is over' => ['yard-trial', [], 'nina', 'You have had this once; it is there once for each person.'];
        yield 'held for good' => ['journeyman-pass', [], 'tuva', 'You hold this already, for good.'];
        yield 'held, and only afterwards again' => ['apprentice-pass', ['again' => 'afterwards'], 'eira', 'You hold this already, to Sat 29 Aug.'];
        yield 'ended, and afterwards again' => ['apprentice-pass', ['again' => 'afterwards'], 'gro', null];
        yield 'paused' => ['apprentice-pass', [], 'liv', 'You hold this already; it is paused. Ask the school to take it up again.'];
        yield 'withdrawn, and sold again' => ['apprentice-pass', [], 'kaia', null];
        yield 'withdrawn, and once per person' => ['apprentice-pass', ['again' => 'once'], 'kaia', 'You have had this once; it is there once for each person.'];
        yield 'less than what they hold' => ['tools-only', [], 'halvard', 'You hold Journeyman pass, for good; it opens all of this.'];
    }

    public function test_a_label_lets_in_while_it_is_held(): void
    {
        self::set('tools-only', ['only_label' => 'oar-bonus']);
        $this->actingAs($this->person('hege'));
        $this->act('label', ['jonas'], ['label' => 'oar-bonus', 'until' => '2026-03-11T13:00']);
        self::assertNull($this->refusal('jonas', 'tools-only'));
        Carbon::setTestNow('2026-03-11T12:00:00Z');
        self::assertNotNull($this->refusal('jonas', 'tools-only'));
    }

    /** Paused, withdrawn or over: what was claimed once is claimed never again, and is offered nowhere. */
    public function test_a_trial_that_was_paused_or_withdrawn_cannot_be_claimed_again(): void
    {
        foreach (['pause', 'withdraw'] as $act) {
            $this->actingAs($this->person('hege'));
            $this->act($act, ['marius'], ['offer' => 'yard-trial', 'stops' => true]);
            self::assertSame('You have had this once; it is there once for each person.', $this->refusal('marius', 'yard-trial'));
            $this->actingAs($this->person('marius'))->get('/courses/clinker/l-garboard')->assertInertia(fn (Page $page) => $page->where('offers', fn ($offers): bool => ! str_contains((string) json_encode($offers), 'yard-trial')));
        }
    }

    public function test_a_renewal_begins_where_the_pass_ends_and_carries_its_pacing_on(): void
    {
        $held = $this->pass('eira');
        $page = $this->actingAs($this->person('eira'))->get('/checkout/apprentice-pass')->assertOk();
        $page->assertInertia(fn (Page $p) => $p->where('instead', 'You hold it until Sat 29 Aug, 13:00. This goes on from there.')->where('lasts', 'from Sat 29 Aug, 13:00 to Thu 25 Feb 2027, 13:00, Oslo time'));
        $this->post('/checkout/apprentice-pass', ['shown' => $page->inertiaProps('shown'), 'once' => 'a form'])->assertSessionHas('flash.kind', 'done');
        $renewal = $this->pass('eira');
        self::assertNotSame($held->id, $renewal->id);
        self::assertEquals([$held->ends_at, $held->starts_at], [$renewal->starts_at, $renewal->paced_from]);
        // The same form once more, and the other tab that showed the same: nothing more is bought.
        $this->post('/checkout/apprentice-pass', ['shown' => $page->inertiaProps('shown'), 'once' => 'a form']);
        $this->post('/checkout/apprentice-pass', ['shown' => $page->inertiaProps('shown'), 'once' => 'another'])->assertSessionHas('flash.kind', 'refused');
        self::assertSame(2, Pass::query()->where('person_id', $held->person_id)->count());
    }

    public function test_what_was_shown_as_a_first_pass_is_never_bought_as_a_renewal(): void
    {
        $this->actingAs($this->person('jonas'));
        foreach (['one tab', 'another'] as $tab) {
            $this->post('/checkout/apprentice-pass', ['shown' => 'anew', 'once' => $tab]);
        }
        self::assertSame(1, Pass::query()->where('person_id', $this->person('jonas')->id)->count());
    }

    public function test_a_renewal_after_the_end_begins_at_once(): void
    {
        $held = $this->pass('gro');
        $this->actingAs($this->person('gro'))->get('/checkout/apprentice-pass')->assertInertia(fn (Page $p) => $p->where('instead', 'You held Apprentice pass until Mon 9 Mar, 13:00. The days of a new one count from now: what was open may be closed again until its day comes.'));
        // Paced by no plan there is nothing that would begin again.
        $this->get('/checkout/tools-only')->assertInertia(fn (Page $p) => $p->where('instead', null));
        $this->post('/checkout/apprentice-pass', ['shown' => 'anew'])->assertSessionHas('flash.kind', 'done');
        self::assertSame('2026-03-10 13:00', self::at($this->pass('gro')->starts_at));
        self::assertTrue($held->ends_at < $this->pass('gro')->starts_at);
    }

    public function test_an_upgrade_ends_the_lesser_pass_and_carries_its_pacing_on(): void
    {
        $held = $this->pass('eira');
        $page = $this->actingAs($this->person('eira'))->get('/checkout/journeyman-pass')->assertInertia(fn (Page $p) => $p->where('price', '180 EUR')->where('instead', 'It takes the place of what you hold: Apprentice pass.'));
        $this->post('/checkout/journeyman-pass', ['shown' => $page->inertiaProps('shown')])->assertSessionHas('flash.kind', 'done');
        self::assertSame('2026-03-10 13:00', self::at($held->refresh()->ends_at));
        $new = $this->pass('eira');
        self::assertSame(['journeyman-pass', '2026-03-10 13:00'], [$new->offer->key, self::at($new->starts_at)]);
        self::assertEquals($held->starts_at, $new->paced_from);
        // Taken back as one: the lesser pass is there again.
        $this->actingAs($this->person('hege'))->post('/keep/people/acts/'.\App\Models\ActRecord::query()->latest('id')->value('id').'/undo')->assertSessionHas('flash.kind', 'done');
        self::assertSame('2026-08-29 13:00', self::at($held->refresh()->ends_at));
        self::assertSame(1, Pass::query()->where('person_id', $held->person_id)->count());
    }

    public function test_an_upgrade_that_is_refunded_gives_the_lesser_pass_back(): void
    {
        $held = $this->pass('eira');
        $this->actingAs($this->person('eira'))->post('/checkout/journeyman-pass', ['shown' => $this->get('/checkout/journeyman-pass')->inertiaProps('shown')])->assertSessionHas('flash.kind', 'done');
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertOk();
        Carbon::setTestNow('2026-03-12T12:00:00Z');
        $purchase = (int) Purchase::query()->sole()->id;
        self::assertSame('its pass was withdrawn', app(ShopEvents::class)->receive('r1', $purchase, 'refund', null)->did);
        self::assertSame('2026-08-29 13:00', self::at($held->refresh()->ends_at));
        $this->get('/courses/clinker/l-planes')->assertOk();
        $this->actingAs($this->person('hege'))->get("/keep/people/{$held->person_id}")->assertSee('Journeyman pass withdrawn; Apprentice pass in force again')->assertSee('in place of Apprentice pass');
        // The refund taken back: the upgrade stands, and the lesser pass has ended as before.
        $this->post('/keep/people/acts/'.\App\Models\ActRecord::query()->latest('id')->value('id').'/undo')->assertSessionHas('flash.kind', 'done');
        self::assertSame('2026-03-10 13:00', self::at($held->refresh()->ends_at));
    }

    /** @param  array<string, string>  $since */
    #[DataProvider('since')]
    public function test_what_the_school_did_with_the_lesser_pass_since_stands(array $since): void
    {
        $held = $this->pass('eira');
        $this->actingAs($this->person('eira'))->post('/checkout/journeyman-pass', [])->assertSessionHas('flash.kind', 'done');
        $held->refresh()->update($since);
        app(ShopEvents::class)->receive('r1', (int) Purchase::query()->sole()->id, 'refund', null);
        self::assertEquals($since, array_intersect_key(array_filter($held->refresh()->getAttributes(), is_string(...)), $since));
    }

    /** @return \Generator<string, array{array<string, string>}> */
    public static function since(): \Generator
    {
        yield 'another end' => [['ends_at' => '2026-06-01 12:00:00']];
        yield 'withdrawn' => [['state' => 'revoked', 'ends_at' => '2026-03-10 12:00:00']];
    }

    /** What the lesser pass has open must stay open, or it is not lesser. */
    public function test_a_pass_that_would_shut_something_ends_nothing(): void
    {
        // Whoever is a journeyman reads the grain of oak before the steam box; as an apprentice Ragna has it open.
        $this->actingAs($this->person('ragna'))->get('/courses/clinker/l-steam')->assertOk();
        $page = $this->get('/checkout/journeyman-pass')->assertInertia(fn (Page $p) => $p->where('instead', null)->where('price', '390 EUR'));
        $this->post('/checkout/journeyman-pass', ['shown' => $page->inertiaProps('shown')])->assertSessionHas('flash.kind', 'done');
        $this->get('/courses/clinker/l-steam')->assertOk();
        self::assertSame(2, Pass::query()->where('person_id', $this->person('ragna')->id)->where('state', 'active')->count());
    }

    public function test_terms_are_set_with_the_sale_and_refused_at_their_fields(): void
    {
        $this->actingAs($this->person('hege'));
        $offer = Offer::query()->where('key', 'tools-only')->sole();
        $sale = ['name' => 'Tools only', 'sale' => 'price', 'price' => 60, 'currency' => 'EUR', 'trial' => false, 'erases' => false, 'again' => 'afterwards', 'notAfter' => ['taster'], 'notAfterCourse' => true, 'onlyLabel' => 'keen', 'most' => 20, 'soldFrom' => '2026-03-01T09:00', 'soldUntil' => '2026-05-01T09:00', 'upgradePrice' => 12.5];
        $this->put("/keep/offers/{$offer->id}", $sale)->assertSessionHasNoErrors();
        $offer->refresh();
        self::assertSame(['afterwards', ['taster'], true, 'keen', 20, 1250, '2026-03-01T08:00:00+00:00', '2026-05-01T07:00:00+00:00'], [$offer->again->value, $offer->not_after, $offer->not_after_course, $offer->only_label, $offer->most, $offer->upgrade_price, $offer->sold_from?->format('c'), $offer->sold_until?->format('c')]);
        $this->get('/keep/offers')->assertSee('for 20 at most, 19 left')->assertSee('only with the label keen')->assertSee('not after Taster');
        $this->put("/keep/offers/{$offer->id}", [...$sale, 'again' => 'always', 'notAfter' => ['no such'], 'onlyLabel' => 'a,b', 'most' => 0, 'soldUntil' => '2026-02-01T09:00', 'upgradePrice' => -1])
            ->assertSessionHasErrors(['again', 'notAfter.0', 'onlyLabel', 'most', 'soldUntil', 'upgradePrice']);
    }

    public function test_a_new_trial_is_for_those_who_are_new(): void
    {
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'name' => 'A week', 'sale' => 'free', 'currency' => 'EUR', 'trial' => true, 'erases' => false, 'tier' => 'apprentice', 'lasts' => 'days', 'days' => 7])->assertSessionHasNoErrors();
        $offer = Offer::query()->where('key', 'a-week')->sole();
        self::assertSame(['once', true], [$offer->again->value, $offer->not_after_course]);
    }
}
