<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\Activity;
use App\Models\Offer;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

final class OffersTest extends TestCase
{
    use ActsOnPeople;
    use EditsDrafts;

    private const SELLING = ['name' => 'Oar pass', 'sale' => 'price', 'price' => 12.5, 'currency' => 'NOK', 'labels' => 'oar-bonus, keen', 'trial' => false, 'erases' => false];

    private const ACCESS = ['tier' => 'apprentice', 'plan' => 'weekly', 'scope' => [], 'lasts' => 'days', 'days' => 30];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<array-key, mixed> of the course `clinker` */
    private function clinker(): array
    {
        $this->app->forgetScopedInstances();
        $courses = $this->get('/keep/offers')->assertOk()->inertiaProps('courses');
        self::assertIsArray($courses);
        self::assertIsArray($courses[0]);

        return $courses[0];
    }

    /** @return list<string> */
    private function findings(): array
    {
        $findings = $this->clinker()['findings'];
        self::assertIsArray($findings);

        return array_values(array_map(static fn (mixed $finding): string => is_array($finding) ? implode('', array_column($finding['segments'], 'text')) : '', $findings));
    }

    /** A lesson for guests alone, a bonus for a label and what is only ever handed out are nothing that an offer opens. */
    public function test_the_matrix_says_what_each_offer_opens(): void
    {
        $clinker = $this->clinker();
        self::assertSame(['Before you pick up a plane', 'Tools and timber', 'Hanging planks', 'Out of the door'], $clinker['modules']);
        self::assertIsArray($clinker['offers']);
        self::assertSame(
            ['Apprentice pass' => ['1 of 2', '3 of 4', '2 of 2', '1 of 2'], 'Journeyman pass' => ['1 of 2', '4 of 4', '2 of 2', '1 of 2'], 'Yard trial' => ['1 of 2', '4 of 4', '2 of 2', '1 of 2'], 'Tools only' => ['0 of 2', '3 of 4', '0 of 2', '0 of 2'], 'Taster' => ['0 of 2', '0 of 4', '0 of 2', '0 of 2']],
            array_map(static fn (mixed $opens): array => array_map(static fn (mixed $module): string => is_array($module) && is_int($module['open']) && is_int($module['all']) ? "{$module['open']} of {$module['all']}" : '', (array) $opens), array_column($clinker['offers'], 'opens', 'name')),
        );
        self::assertSame([15, '240 EUR', true], [$clinker['offers'][0]['holders'], $clinker['offers'][0]['priceWords'], $clinker['offers'][0]['live']]);
    }

    public function test_name_price_and_sale_change_at_once_and_everywhere(): void
    {
        $offer = Offer::query()->where('key', 'apprentice-pass')->sole();
        $this->put("/keep/offers/{$offer->id}", [...self::SELLING, 'name' => 'Prentice pass'])->assertSessionHasNoErrors();
        $offer->refresh();
        self::assertSame(['Prentice pass', 1250, []], [$offer->name, $offer->price, $offer->labels]);
        $this->assertDatabaseCount('drafts', 0);
        $vantages = $this->get('/keep/courses/clinker?lens=sightlines')->inertiaProps('sightlines.vantages');
        self::assertIsArray($vantages);
        self::assertContains('Prentice pass', array_column($vantages, 'title'));
        self::assertSame('offer.changed', Activity::query()->latest('id')->value('action'));
        $this->put("/keep/offers/{$offer->id}", [...self::SELLING, 'name' => '', 'price' => 0, 'currency' => 'kroner'])->assertSessionHasErrors(['name', 'price', 'currency']);
    }

    public function test_what_an_offer_opens_goes_through_the_draft_and_its_rehearsal(): void
    {
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'offer' => 'apprentice-pass', ...self::ACCESS, 'tier' => 'journeyman'])->assertSessionHasNoErrors();
        $changes = $this->get('/keep/courses/clinker/rehearsal')->assertOk()->inertiaProps('changes');
        self::assertIsArray($changes);
        self::assertStringContainsString('tier', implode(' ', array_map(static fn (mixed $change): string => is_array($change) ? implode('', array_column($change['segments'], 'text')) : '', $changes)));
        self::assertNotSame([], $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('totals'));
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 1, 'offer' => 'apprentice-pass', ...self::ACCESS, 'tier' => 'king'])->assertSessionHasErrors('rule');
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 1, 'offer' => 'frames-pass', ...self::ACCESS])->assertNotFound();
    }

    public function test_a_new_offer_can_be_given_once_it_is_published(): void
    {
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, ...self::SELLING, ...self::ACCESS])->assertSessionHasNoErrors();
        self::assertSame('oar-pass', Offer::query()->latest('id')->value('key'));
        $this->act('give', ['jonas'], ['offer' => 'oar-pass'])->assertSessionHasErrors('offer');
        $this->post('/keep/courses/clinker/revisions', ['version' => 1, 'note' => '']);
        $this->app->forgetScopedInstances();
        $this->act('give', ['jonas'], ['offer' => 'oar-pass'])->assertSessionHasNoErrors();
        self::assertSame('2026-04-09 13:00', self::at($this->pass('jonas')->ends_at));
        self::assertSame(['oar-bonus', 'keen'], Offer::query()->where('key', 'oar-pass')->sole()->labels);
        // Its holder has the bonus that comes with it, and nobody else knows that there is one.
        $this->actingAs($this->person('jonas'))->get('/courses/clinker')->assertSee('building the oars');
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertDontSee('building the oars');
    }

    public function test_likely_mistakes_are_told(): void
    {
        $sooner = 'Yard trial opens Reading grain in oak, The garboard, Rivets and roves and Launch day sooner than those who pay get them.';
        self::assertSame([$sooner], $this->findings());
        Offer::query()->where('key', 'yard-trial')->update(['trial' => false]);
        self::assertSame(['Yard trial is free, and is no trial, on a course that is sold elsewhere.'], $this->findings());
        Offer::query()->where('key', 'yard-trial')->update(['trial' => true]);
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, 'offer' => 'journeyman-pass', 'tier' => 'apprentice', 'plan' => 'weekly', 'scope' => [], 'lasts' => 'days', 'days' => 180]);
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 1, 'offer' => 'yard-trial', 'tier' => 'apprentice', 'scope' => ['b-news'], 'lasts' => 'days', 'days' => 10]);
        self::assertSame([
            'Yard trial opens nothing that whoever signs in has not open already.',
            'No offer gives the tier journeyman: what is for it alone opens to nobody.',
            'Apprentice pass and Journeyman pass open exactly the same, in the same pace and for as long.',
        ], $this->findings());
    }

    public function test_a_trial_shows_how_far_one_comes_and_copies_nothing(): void
    {
        $trial = $this->postJson('/keep/courses/clinker/trial', ['days' => 10, 'tier' => 'apprentice', 'plan' => 'weekly'])->assertOk();
        self::assertSame(['Welcome to the shed', 'Tuning a plane'], $trial->json('lazy'));
        self::assertSame(['Choosing larch', 'The steam box'], $trial->json('diligent'));
        self::assertSame(10, $trial->json('lessons'));
        $this->assertDatabaseCount('drafts', 0);
        $courses = DB::table('courses')->count();
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, ...self::SELLING, ...self::ACCESS, 'name' => 'Ten days', 'trial' => true, 'erases' => true, 'days' => 10])->assertSessionHasNoErrors();
        self::assertSame($courses, DB::table('courses')->count());
        self::assertSame([true, true], [Offer::query()->latest('id')->firstOrFail()->trial, Offer::query()->latest('id')->firstOrFail()->erases]);
        $this->postJson('/keep/courses/clinker/trial', ['days' => 0])->assertUnprocessable();
        $this->postJson('/keep/courses/clinker/trial', ['days' => 5, 'plan' => 'nothing'])->assertUnprocessable();
    }

    public function test_an_offer_that_somebody_holds_is_not_taken_out(): void
    {
        $held = Offer::query()->where('key', 'taster')->sole();
        $this->delete("/keep/offers/{$held->id}", ['version' => 0])->assertSessionHas('flash.kind', 'refused');
        $this->post('/keep/courses/clinker/draft/offers', ['version' => 0, ...self::SELLING, ...self::ACCESS]);
        $new = Offer::query()->where('key', 'oar-pass')->sole();
        $this->delete("/keep/offers/{$new->id}", ['version' => 1])->assertSessionHas('flash.kind', 'done');
        self::assertNull(Offer::query()->where('key', 'oar-pass')->first());
    }

    public function test_however_many_offers_there_are_the_queries_are_as_many(): void
    {
        $this->get('/keep/offers');
        $count = $this->queriesOf();
        foreach (range(1, 4) as $n) {
            $this->post('/keep/courses/clinker/draft/offers', ['version' => $n - 1, ...self::SELLING, 'name' => "Pass {$n}", ...self::ACCESS])->assertSessionHasNoErrors();
        }
        self::assertSame($count, $this->queriesOf());
    }

    private function queriesOf(): int
    {
        $this->app->forgetScopedInstances();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get('/keep/offers')->assertOk();

        return count(DB::getQueryLog());
    }
}
