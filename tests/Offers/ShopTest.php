<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\CourseDocument;
use App\Models\ItemVisit;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\Revision;
use Illuminate\Support\Collection;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The front, samples, and the checkout that takes no money. */
final class ShopTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_the_front_lists_what_the_public_may_know_of(): void
    {
        $this->get('/')->assertOk()->assertDontSee('Oars and spars')->assertDontSee('Petrol engines')->assertInertia(fn (Page $page) => $page
            ->component('learner/Front')->where('courses.0.title', 'Clinker planking')->where('courses.0.href', '/courses/clinker/l-welcome'));
    }

    public function test_the_page_of_a_course_says_what_it_is_and_what_opens_it(): void
    {
        $this->get('/courses/clinker')->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('face.about', fn (string $about): bool => str_contains($about, '<strong>planks first, frames after</strong>'))
            ->where('face.takes', '8 lessons, 2 films, 1 quiz, 3 h 25 min')->where('next.key', 'l-welcome')->where('next.look', true)
            ->where('columns.0.offer.href', fn (string $href): bool => str_starts_with($href, '/checkout/'))
            ->where('columns', fn ($offers): bool => str_contains((string) json_encode($offers), '240 EUR') && ! str_contains((string) json_encode($offers), 'taster')));
    }

    /** The bonus for the few and the tour for guests are hidden from visitors; so is how many there are. */
    public function test_counts_of_lessons_do_not_give_away_what_is_hidden(): void
    {
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page
            ->where('course.lessons', 8)->where('columns', fn ($offers): bool => preg_match_all('/"covers":"\d of 8 lessons/', (string) json_encode($offers)) === count($offers)));
    }

    public function test_whoever_holds_a_pass_is_offered_what_goes_further_and_no_more(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('offers', fn (Collection $offers): bool => $offers->pluck('as', 'key')->all() === ['journeyman-pass' => 'upgrade']));
        $this->actingAs($this->person('tuva'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('offers', []));
    }

    public function test_a_visitor_buys_and_is_back_at_the_lesson(): void
    {
        $offer = '';
        $this->get('/courses/clinker/l-planes')->assertUnauthorized()->assertInertia(function (Page $page) use (&$offer): void {
            $offer = array_column($page->toArray()['props']['offers'], 'href', 'key')['tools-only'];
        });
        self::assertIsString($offer);
        $this->get($offer)->assertOk()->assertInertia(fn (Page $page) => $page->where('free', false)->where('itemTitle', 'Tuning a plane')->where('holder', null));
        $this->post('/checkout/tools-only', ['name' => 'Alva Brekke', 'email' => 'Alva@Elsewhere.test', 'item' => 'l-planes'])->assertRedirect('/courses/clinker/l-planes');

        $alva = Person::query()->where('claimed_email', 'alva@elsewhere.test')->firstOrFail();
        $this->assertAuthenticatedAs($alva);
        self::assertSame('tools-only', Pass::query()->with('offer')->where('person_id', $alva->id)->firstOrFail()->offer->key);
        self::assertTrue(Message::query()->where('person_id', $alva->id)->exists());
        $this->get('/courses/clinker/l-planes')->assertOk();
    }

    public function test_buying_twice_in_one_breath_gives_one_pass(): void
    {
        $this->actingAs($this->person('jonas'));
        $this->post('/checkout/tools-only', ['item' => ''])->assertRedirect('/courses/clinker');
        $first = Pass::query()->where('person_id', $this->person('jonas')->id)->get();
        $this->post('/checkout/tools-only', ['item' => '']);
        self::assertCount(1, $first);
        self::assertSame(1, Pass::query()->where('person_id', $this->person('jonas')->id)->count());
    }

    /** @return list<array{int, string}> */
    public static function prices(): array
    {
        return [[24000, '240 EUR'], [1250, '12.50 EUR'], [1205, '12.05 EUR'], [99, '0.99 EUR'], [100, '1 EUR'], [0, 'free']];
    }

    #[DataProvider('prices')]
    public function test_a_price_is_told_to_the_cent(int $price, string $told): void
    {
        Offer::query()->where('key', 'tools-only')->update(['price' => $price]);
        $this->get('/checkout/tools-only')->assertInertia(fn (Page $page) => $page->where('price', $told));
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', fn (Collection $columns): bool => $columns->pluck('offer')->firstWhere('key', 'tools-only')['price'] === $told));
    }

    public function test_an_offer_past_its_end_is_on_sale_nowhere_and_not_at_the_checkout(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        foreach (['2026-03-10T13:01' => true, '2026-03-10T13:00' => false] as $until => $sold) {
            $document = CourseDocument::fromJson($revision->document);
            foreach ($document->editOffers() as $offer) {
                if ($offer->key() === 'tools-only') {
                    $offer->set('lasts', (object) ['until' => $until]);
                }
            }
            Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
            // What never happens to a revision: so nobody is told of it.
            $this->inAnotherProcess();
            $this->nothingIsKept();
            $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', fn (Collection $columns): bool => $columns->contains('offer.key', 'tools-only') === $sold));
            $this->get('/checkout/tools-only')->assertInertia(fn (Page $page) => $page->where('refusal', $sold ? null : 'This would end before it opened anything.'));
            if (! $sold) {
                $this->actingAs($this->person('jonas'))->post('/checkout/tools-only', ['item' => ''])->assertSessionHas('flash.kind', 'refused');
                self::assertSame(0, Pass::query()->where('person_id', $this->person('jonas')->id)->count());
            }
        }
    }

    public function test_a_second_click_on_buying_opens_no_second_visit(): void
    {
        $form = ['name' => 'Alva', 'email' => 'alva@elsewhere.test', 'item' => '', 'once' => 'this form'];
        $this->post('/checkout/tools-only', $form)->assertRedirect('/courses/clinker');
        // It was sent before the answer to the first came: without its cookie.
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->post('/checkout/tools-only', $form)->assertRedirect('/courses/clinker');
        $alva = Person::query()->where('claimed_email', 'alva@elsewhere.test')->sole();
        $this->assertAuthenticatedAs($alva);
        self::assertSame([1, 1], [Pass::query()->where('person_id', $alva->id)->count(), Message::query()->where('to', 'alva@elsewhere.test')->count()]);
    }

    /** @param  array<string, string>  $given */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_at_its_field(array $given, string $field): void
    {
        $this->post('/checkout/tools-only', $given)->assertSessionHasErrors($field);
        $this->assertGuest();
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function nonsense(): array
    {
        return [
            'no name' => [['name' => ' ', 'email' => 'alva@elsewhere.test'], 'name'],
            'no address' => [['name' => 'Alva', 'email' => ''], 'email'],
            'an address that is none' => [['name' => 'Alva', 'email' => 'alva'], 'email'],
            'an endless name' => [['name' => str_repeat('a', 201), 'email' => 'alva@elsewhere.test'], 'name'],
        ];
    }

    /** Each way in to a closed lesson, tried: what the notice promises holds. */
    public function test_every_offer_of_a_notice_really_opens_the_lesson_or_says_what_comes_first(): void
    {
        $this->actingAs($this->person('jonas'));
        $tried = 0;
        foreach (['l-planes', 'l-timber', 'l-advanced', 'l-garboard', 'l-launch'] as $item) {
            $offers = $this->offersAt($item);
            foreach ($offers as $offer) {
                $tried++;
                $this->post("/checkout/{$offer['key']}", ['item' => $item])->assertRedirect("/courses/clinker/{$item}");
                $detail = $offer['detail'];
                self::assertIsString($detail);
                $status = $this->get("/courses/clinker/{$item}")->getStatusCode();
                self::assertSame(str_starts_with($detail, 'Opens it at once,') ? 200 : 403, $status, "{$item} by {$offer['key']}: {$detail}");
                Pass::query()->where('person_id', $this->person('jonas')->id)->delete();
            }
        }
        self::assertGreaterThan(6, $tried);
    }

    /** @return list<array<string, mixed>> */
    private function offersAt(string $item): array
    {
        $offers = [];
        $this->get("/courses/clinker/{$item}")->assertForbidden()->assertInertia(function (Page $page) use (&$offers): void {
            $offers = $page->toArray()['props']['offers'];
        });

        return $offers;
    }

    public function test_whoever_has_an_account_signs_in_on_the_way_and_is_back_at_the_checkout_of_that_lesson(): void
    {
        $back = '';
        $this->get('/checkout/tools-only?item=l-planes')->assertInertia(function (Page $page) use (&$back): void {
            $back = $page->toArray()['props']['signIn'];
        });
        self::assertIsString($back);
        $this->get($back)->assertOk();
        $this->post('/sign-in', ['email' => 'jonas@alder.test', 'password' => 'larch-and-oak'])->assertRedirect('/checkout/tools-only?item=l-planes');
        $this->post('/checkout/tools-only', ['item' => 'l-planes'])->assertRedirect('/courses/clinker/l-planes');
    }

    public function test_what_is_not_for_sale_says_so_and_is_not_told_by_name(): void
    {
        Offer::query()->where('key', 'tools-only')->update(['price' => null]);
        foreach (['taster' => 'This is not sold any more.', 'tools-only' => 'This is not sold any more.', 'engine-pass' => 'This course is not given any more.'] as $offer => $refusal) {
            $this->get("/checkout/{$offer}")->assertOk()->assertDontSee(Offer::query()->where('key', $offer)->value('name'))->assertInertia(fn (Page $page) => $page->where('refusal', $refusal)->where('shown', 'refused'));
            $this->post("/checkout/{$offer}", ['name' => 'A', 'email' => 'a@elsewhere.test'])->assertSessionHas('flash.text', $refusal);
        }
        self::assertSame(0, Person::query()->where('claimed_email', 'a@elsewhere.test')->count());
        $this->get('/checkout/nothing')->assertNotFound();
        $this->post('/checkout/nothing', ['name' => 'A', 'email' => 'a@elsewhere.test'])->assertNotFound();
    }

    public function test_a_course_by_invitation_only_sells_nothing(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->edit()->set('entry', 'invite');
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);

        $this->get('/courses/clinker')->assertOk()->assertInertia(fn (Page $page) => $page->where('columns', [])->where('offers', []));
        $this->get('/courses/clinker/l-planes')->assertUnauthorized()->assertInertia(fn (Page $page) => $page->where('offers', []));
        $this->get('/checkout/tools-only')->assertInertia(fn (Page $page) => $page->where('refusal', 'This course is by invitation: the school gives out its passes.'));
        $this->actingAs($this->person('hege'))->get('/keep/offers')->assertSee('cannot be taken: the course is by invitation only');
    }

    public function test_what_opens_nothing_that_one_may_know_of_is_not_offered(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        foreach ($document->editOffers() as $offer) {
            if ($offer->key() === 'tools-only') {
                $offer->set('scope', ['l-planes']);
            }
        }
        $planes = $document->editItem('l-planes') ?? self::fail();
        $planes->set('when_closed', 'hide');
        // What is inside a hidden lesson would give it away.
        $planes->set('items', null);
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);

        $this->get('/courses/clinker')->assertOk()->assertInertia(fn (Page $page) => $page->where('columns', fn (Collection $columns): bool => $columns->isNotEmpty() && ! $columns->contains('offer.key', 'tools-only')));
    }

    public function test_a_sample_that_asks_for_an_account_takes_a_name_and_remembers_that_only_samples_were_looked_at(): void
    {
        $this->get('/courses/steam-frames/l-log')->assertOk();
        $this->post('/courses/clinker/l-welcome/look', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test'])->assertRedirect('/courses/clinker/l-welcome');
        $alva = Person::query()->where('claimed_email', 'alva@elsewhere.test')->firstOrFail();
        $this->get('/courses/clinker/l-welcome')->assertOk();
        self::assertSame('sample', ItemVisit::query()->where('person_id', $alva->id)->firstOrFail()->via);
        $this->actingAs($this->person('hege'))->get('/keep/people?standing=samples')->assertOk()->assertSee('Alva Brekke');
    }
}
