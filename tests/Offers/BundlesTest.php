<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\ActRecord;
use App\Models\Bundle;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\School;
use App\Models\ShopEvent;
use App\Offers\Sales\ShopEvents;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\PurchaseFactory;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** Several offers at one price, once or as a membership; and what the shop tells of them afterwards. */
final class BundlesTest extends TestCase
{
    use ActsOnPeople;

    private const WHOLE_YARD = ['name' => 'The whole yard', 'sale' => 'price', 'price' => 500, 'currency' => 'EUR', 'every' => null, 'offers' => ['apprentice-pass', 'frames-pass', 'refit-crew']];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @param  array<string, mixed>  $more */
    private function bundle(array $more = []): Bundle
    {
        $this->post('/keep/bundles', [...self::WHOLE_YARD, ...$more])->assertSessionHasNoErrors();

        return Bundle::query()->latest('id')->firstOrFail();
    }

    private function buys(string $who, string $key = 'the-whole-yard'): Purchase
    {
        $shown = $this->actingAs($this->person($who))->get("/checkout/bundles/{$key}")->assertOk()->inertiaProps('shown');
        $this->post("/checkout/bundles/{$key}", ['shown' => $shown, 'once' => "{$who} buys"])->assertSessionHas('flash.kind', 'done');

        return Purchase::query()->latest('id')->firstOrFail();
    }

    /** @return array<array-key, string> end or state of each pass, by offer */
    private static function passesOf(Purchase $purchase): array
    {
        $passes = [];
        foreach (Pass::query()->with('offer')->where('purchase_id', $purchase->id)->orderBy('id')->get() as $pass) {
            $passes[$pass->offer->key] = $pass->state === 'revoked' ? 'withdrawn' : (string) self::at($pass->ends_at);
        }

        return $passes;
    }

    private static function tells(Purchase $purchase, string $event, string $kind, ?int $payment = null): string
    {
        assert($kind === 'payment' || $kind === 'missed' || $kind === 'refund');

        return app(ShopEvents::class)->receive($event, $purchase->id, $kind, $payment)->did;
    }

    public function test_a_bundle_gives_all_its_passes_in_one_step_and_takes_them_in_one(): void
    {
        $this->bundle();
        $page = $this->actingAs($this->person('jonas'))->get('/checkout/bundles/the-whole-yard');
        $page->assertInertia(fn (Page $p) => $p->where('price', '500 EUR')->where('refusal', null)->where('includes', fn (Collection $lines): bool => count($lines) === 3 && str_starts_with((string) $lines[0], 'Apprentice pass of Clinker planking, to')));
        $purchase = $this->buys('jonas');
        self::assertSame(['apprentice-pass', 'frames-pass', 'refit-crew'], array_keys(self::passesOf($purchase)));
        $this->get('/courses/clinker/l-welcome')->assertOk();
        $this->get('/courses/steam-frames/l-log')->assertOk();
        // The same form twice.
        $this->post('/checkout/bundles/the-whole-yard', ['once' => 'jonas buys']);
        self::assertSame(3, Pass::query()->where('person_id', $purchase->person_id)->count());
        self::assertSame(1, Purchase::query()->count());

        self::assertSame('its 3 passes were withdrawn', self::tells($purchase, 'r1', 'refund'));
        self::assertSame(['withdrawn', 'withdrawn', 'withdrawn'], array_values(self::passesOf($purchase)));
        self::assertSame('its 3 passes were withdrawn', self::tells($purchase, 'r1', 'refund'));
        self::assertSame('nothing: it was refunded', self::tells($purchase, 'r2', 'refund'));
        self::assertSame(2, ShopEvent::query()->count());
        $this->get('/courses/clinker/l-planes')->assertForbidden();
    }

    public function test_what_is_held_already_is_left_out(): void
    {
        $this->bundle(['offers' => ['journeyman-pass', 'frames-pass']]);
        $purchase = $this->buys('tuva');
        self::assertSame(['frames-pass'], array_keys(self::passesOf($purchase)));
        $this->act('give', ['jonas'], ['offer' => 'journeyman-pass']);
        $this->actingAs($this->person('hege'));
        $this->act('give', ['jonas'], ['offer' => 'journeyman-pass']);
        $this->actingAs($this->person('hege'))->act('give', ['eskil'], ['offer' => 'frames-pass']);
        Offer::query()->where('key', 'frames-pass')->update(['again' => 'afterwards']);
        $this->actingAs($this->person('eskil'))->get('/checkout/bundles/the-whole-yard')->assertInertia(fn (Page $p) => $p->where('refusal', 'You hold all of this already.'));
    }

    public function test_one_course_that_is_closed_stops_the_sale(): void
    {
        $this->bundle(['offers' => ['apprentice-pass', 'engine-pass']]);
        $this->actingAs($this->person('jonas'))->get('/checkout/bundles/the-whole-yard')->assertInertia(fn (Page $p) => $p->where('refusal', 'This course is not given any more.'));
        $this->post('/checkout/bundles/the-whole-yard')->assertSessionHas('flash.kind', 'refused');
        self::assertSame(0, Purchase::query()->count());
        $this->get('/courses/clinker')->assertInertia(fn (Page $p) => $p->where('offers', fn (Collection $offers): bool => $offers->where('as', 'bundle')->isEmpty()));
    }

    public function test_it_is_offered_where_one_of_its_passes_would_open_something(): void
    {
        $this->bundle();
        foreach (['/courses/clinker', '/courses/clinker/l-planes', '/courses/steam-frames'] as $page) {
            $this->actingAs($this->person('jonas'))->get($page)->assertInertia(fn (Page $p) => $p->where('offers', fn (Collection $offers): bool => $offers->where('as', 'bundle')->pluck('price')->all() === ['500 EUR']));
        }
        $this->get('/courses/sails')->assertInertia(fn (Page $p) => $p->where('offers', fn (Collection $offers): bool => $offers->isEmpty()));
        $this->put('/keep/bundles/'.Bundle::query()->sole()->id, [...self::WHOLE_YARD, 'sale' => 'none'])->assertNotFound();
        $this->actingAs($this->person('hege'))->put('/keep/bundles/'.Bundle::query()->sole()->id, [...self::WHOLE_YARD, 'sale' => 'none'])->assertSessionHasNoErrors();
        $this->actingAs($this->person('jonas'))->get('/courses/clinker')->assertInertia(fn (Page $p) => $p->where('offers', fn (Collection $offers): bool => $offers->where('as', 'bundle')->isEmpty()));
        $this->get('/checkout/bundles/the-whole-yard')->assertInertia(fn (Page $p) => $p->where('refusal', 'This is not sold any more.'));
        $this->get('/checkout/bundles/no-such')->assertNotFound();
    }

    public function test_a_membership_is_carried_on_by_its_payments(): void
    {
        $this->bundle(['price' => 20, 'every' => 'month']);
        $this->actingAs($this->person('jonas'))->get('/checkout/bundles/the-whole-yard')->assertInertia(fn (Page $p) => $p->where('price', '20 EUR a month')->where('lasts', 'It is paid to Fri 10 Apr, 13:00; the next payment carries it on.'));
        $purchase = $this->buys('jonas');
        self::assertSame(['2026-04-17 13:00'], array_values(array_unique(self::passesOf($purchase))));
        self::assertSame('paid to Sun 10 May, 13:00', self::tells($purchase, 'p2', 'payment', 2));
        self::assertSame(['2026-05-17 13:00'], array_values(array_unique(self::passesOf($purchase))));
        // While it runs it is not bought beside itself.
        $this->get('/checkout/bundles/the-whole-yard')->assertInertia(fn (Page $p) => $p->where('refusal', 'You hold all of this already.'));
    }

    /** @param  list<array{string, string, ?int}>  $events */
    #[DataProvider('orders')]
    public function test_repeated_and_reordered_events_come_to_the_same(array $events, string $ends): void
    {
        $this->bundle(['price' => 20, 'every' => 'month']);
        $purchase = $this->buys('jonas');
        foreach ($events as [$event, $kind, $payment]) {
            self::tells($purchase, $event, $kind, $payment);
        }
        self::assertSame([$ends], array_values(array_unique(self::passesOf($purchase))));
    }

    /** @return \Generator<string, array{list<array{string, string, ?int}>, string}> */
    public static function orders(): \Generator
    {
        yield 'in order' => [[['2', 'payment', 2], ['3', 'payment', 3]], '2026-06-17 13:00'];
        yield 'the other way round' => [[['3', 'payment', 3], ['2', 'payment', 2]], '2026-06-17 13:00'];
        yield 'each twice' => [[['2', 'payment', 2], ['2', 'payment', 2], ['3', 'payment', 3], ['3', 'payment', 3]], '2026-06-17 13:00'];
        yield 'the same payment under two numbers' => [[['2', 'payment', 2], ['2b', 'payment', 2]], '2026-05-17 13:00'];
        yield 'missed, told after it had come' => [[['2', 'payment', 2], ['m', 'missed', 2]], '2026-05-17 13:00'];
        yield 'refunded, then a payment that was under way' => [[['r', 'refund', null], ['2', 'payment', 2]], 'withdrawn'];
        yield 'nothing' => [[], '2026-04-17 13:00'];
    }

    public function test_a_missed_payment_ends_it_after_the_grace_and_who_comes_back_goes_on(): void
    {
        School::query()->update(['missed_days' => 3]);
        $this->bundle(['price' => 20, 'every' => 'month']);
        $purchase = $this->buys('jonas');
        $from = Pass::query()->where('purchase_id', $purchase->id)->firstOrFail()->starts_at;
        Carbon::setTestNow('2026-04-10T11:00:00Z');
        self::assertSame('they were written to; it ends Mon 13 Apr, 13:00', self::tells($purchase, 'm2', 'missed', 2));
        self::assertStringContainsString('It goes on until Mon 13 Apr, 13:00 (Oslo time)', Message::query()->latest('id')->firstOrFail()->body);
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-welcome')->assertOk();
        Carbon::setTestNow('2026-04-13T11:00:00Z');
        $this->get('/courses/clinker/l-planes')->assertForbidden();
        // Paid late: from that day on, its pacing carried on.
        Carbon::setTestNow('2026-04-20T11:00:00Z');
        self::assertSame('they are back, paid to Wed 20 May, 13:00', self::tells($purchase, 'p2', 'payment', 2));
        $this->get('/courses/clinker/l-planes')->assertOk();
        self::assertSame(['2026-05-23 13:00'], array_values(array_unique(self::passesOf($purchase))));
        self::assertEquals($from, Pass::query()->where('purchase_id', $purchase->id)->firstOrFail()->starts_at);
        self::assertSame('paid to Sat 20 Jun, 13:00', self::tells($purchase->refresh(), 'p3', 'payment', 3));
    }

    /** A payment of the lesser one that came after an upgrade once put a second pass beside it. */
    public function test_what_an_upgrade_has_ended_is_not_carried_on_by_a_payment_until_the_upgrade_is_refunded(): void
    {
        $offer = Offer::query()->where('key', 'apprentice-pass')->sole();
        $this->put("/keep/offers/{$offer->id}", ['name' => 'Apprentice pass', 'sale' => 'price', 'price' => 15, 'currency' => 'EUR', 'trial' => false, 'erases' => false, 'again' => 'renewal', 'every' => 'month'])->assertSessionHasNoErrors();
        $lesser = $this->takes('jonas', 'apprentice-pass');
        $upgrade = $this->takes('jonas', 'journeyman-pass');
        self::assertSame(['apprentice-pass' => '2026-03-10 13:00'], self::passesOf($lesser));

        Carbon::setTestNow('2026-04-10T11:00:00Z');
        self::assertSame('nothing: they hold an upgrade in its place', self::tells($lesser, 'm2', 'missed', 2));
        self::assertSame(0, Message::query()->where('subject', 'like', '%payment%')->count());
        self::assertSame('nothing now: they hold an upgrade in its place; paid to Sun 10 May, 13:00', self::tells($lesser, 'p2', 'payment', 2));
        self::assertSame(['apprentice-pass' => '2026-03-10 13:00'], self::passesOf($lesser));
        $this->actingAs($this->person('hege'))->get('/keep/outbox/shop')->assertInertia(fn (Page $p) => $p->where('purchases.1.standing', 'an upgrade holds its place'));

        // What was paid for meanwhile is theirs again when the upgrade goes.
        self::tells($upgrade, 'r', 'refund');
        self::assertSame(['apprentice-pass' => '2026-05-17 13:00'], self::passesOf($lesser));
        self::assertSame('paid to Wed 10 Jun, 13:00', self::tells($lesser->refresh(), 'p3', 'payment', 3));
        self::assertSame(['apprentice-pass' => '2026-06-17 13:00'], self::passesOf($lesser));
    }

    private function takes(string $who, string $offer): Purchase
    {
        $shown = $this->actingAs($this->person($who))->get("/checkout/{$offer}")->assertOk()->inertiaProps('shown');
        $this->post("/checkout/{$offer}", ['shown' => $shown])->assertSessionHas('flash.kind', 'done');

        return Purchase::query()->latest('id')->firstOrFail();
    }

    public function test_an_offer_alone_can_be_a_membership(): void
    {
        $offer = Offer::query()->where('key', 'apprentice-pass')->sole();
        $this->put("/keep/offers/{$offer->id}", ['name' => 'Apprentice pass', 'sale' => 'price', 'price' => 15, 'currency' => 'EUR', 'trial' => false, 'erases' => false, 'again' => 'renewal', 'every' => 'year'])->assertSessionHasNoErrors();
        $this->actingAs($this->person('jonas'))->get('/checkout/apprentice-pass')->assertInertia(fn (Page $p) => $p->where('price', '15 EUR a year'));
        $this->post('/checkout/apprentice-pass')->assertSessionHas('flash.kind', 'done');
        self::assertSame('2027-03-17 13:00', self::at($this->pass('jonas')->ends_at));
        $this->get('/checkout/apprentice-pass')->assertInertia(fn (Page $p) => $p->where('refusal', 'You hold this already, to Wed 17 Mar 2027.'));
        self::assertSame('nothing: it is paid for once', self::tells(PurchaseFactory::new()->of($this->person('eira'))->createOne(['offer_id' => $offer->id]), 'x', 'payment', 2));
    }

    public function test_the_stand_in_shop_lists_what_was_bought_and_plays_what_comes_after(): void
    {
        $this->bundle(['price' => 20, 'every' => 'month']);
        $purchase = $this->buys('jonas');
        $this->actingAs($this->person('hege'))->get('/keep/outbox/shop')->assertInertia(fn (Page $p) => $p->where('purchases.0.what', 'The whole yard')->where('purchases.0.standing', 'paid to Fri 10 Apr, 13:00')->where('purchases.0.next', 2)->where('events', []));
        $this->post("/keep/outbox/shop/{$purchase->id}", ['event' => 'e1', 'kind' => 'payment', 'payment' => 2])->assertSessionHas('flash.text', 'Paid to Sun 10 May, 13:00.');
        // Whose it is can be asked for, by name or address.
        $this->get('/keep/outbox/shop?find=jonas@')->assertInertia(fn (Page $p) => $p->where('total', 1)->where('told', 1)->has('events', 1)->where('find', 'jonas@'));
        $this->get('/keep/outbox/shop?find=eira')->assertInertia(fn (Page $p) => $p->where('total', 0)->where('told', 0)->where('events', []));
        $this->post("/keep/outbox/shop/{$purchase->id}", ['event' => 'e2', 'kind' => 'gift'])->assertSessionHasErrors('kind');
        $this->post("/keep/outbox/shop/{$purchase->id}", ['event' => 'e3', 'kind' => 'refund'])->assertSessionHas('flash.text', 'Its 3 passes were withdrawn.');
        $this->get('/keep/outbox/shop')->assertInertia(fn (Page $p) => $p->where('purchases.0.standing', 'refunded')->where('purchases.0.next', null)->where('purchases.0.refundable', false)->has('events', 2));
        foreach (['aksel', 'jonas'] as $other) {
            self::assertContains($this->actingAs($this->person($other))->get('/keep/outbox/shop')->status(), [403, 404]);
        }
    }

    public function test_a_purchase_that_was_taken_back_can_be_paid_for_and_refunded_no_more(): void
    {
        $this->bundle(['price' => 20, 'every' => 'month']);
        $this->buys('jonas');
        $this->actingAs($this->person('hege'))->post('/keep/people/acts/'.ActRecord::query()->latest('id')->value('id').'/undo')->assertSessionHas('flash.kind', 'done');
        $this->get('/keep/outbox/shop')->assertInertia(fn (Page $p) => $p->where('purchases.0.standing', 'taken back')->where('purchases.0.next', null)->where('purchases.0.refundable', false)->where('purchases.0.passes', []));
    }

    public function test_bundles_are_made_changed_and_dropped(): void
    {
        $this->post('/keep/bundles', [...self::WHOLE_YARD, 'name' => '', 'offers' => ['apprentice-pass'], 'price' => 0, 'every' => 'day'])->assertSessionHasErrors(['name', 'offers', 'price', 'every']);
        $this->post('/keep/bundles', [...self::WHOLE_YARD, 'offers' => ['apprentice-pass', 'no-such']])->assertSessionHasErrors('offers.1');
        $bundle = $this->bundle();
        $this->get('/keep/offers')->assertInertia(fn (Page $p) => $p->where('bundles.0.names', ['Apprentice pass', 'Frames pass', 'Refit crew'])->where('bundles.0.priceWords', '500 EUR'));
        $this->put("/keep/bundles/{$bundle->id}", [...self::WHOLE_YARD, 'offers' => ['frames-pass', 'refit-crew']])->assertSessionHasNoErrors();
        self::assertCount(2, $bundle->refresh()->offers);
        // An offer that is sold within it is not taken out of its course.
        $this->delete('/keep/offers/'.Offer::query()->where('key', 'refit-crew')->sole()->id, ['version' => 0])->assertSessionHas('flash.kind', 'refused');
        $this->buys('jonas');
        $this->actingAs($this->person('hege'))->delete("/keep/bundles/{$bundle->id}")->assertSessionHas('flash.kind', 'refused');
        $other = $this->bundle(['name' => 'The whole yard']);
        self::assertSame('the-whole-yard-2', $other->key);
        $this->delete("/keep/bundles/{$other->id}")->assertSessionHas('flash.kind', 'done');
        $this->actingAs($this->person('jonas'))->post('/keep/bundles', self::WHOLE_YARD)->assertNotFound();
    }
}
