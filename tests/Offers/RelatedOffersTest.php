<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\Course;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Picture;
use App\Models\RelatedOffer;
use App\People\MakePass;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Another course, put before whoever does not have it and may take it. */
final class RelatedOffersTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
        Offer::query()->where('key', 'frames-pass')->update(['price' => 24000, 'currency' => 'EUR']);
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function form(array $with = []): array
    {
        return ['version' => 0, 'item' => '', 'other' => 'steam-frames', 'heading' => 'Bend them next', 'text' => 'For *whoever* planks.', 'button' => 'Take the frames', 'picture' => '', ...$with];
    }

    private function related(?string $who, string $at = '/courses/clinker'): mixed
    {
        $this->inAnotherProcess();
        $who === null ? auth()->logout() : $this->actingAs($this->person($who));

        return $this->get($at)->assertOk()->inertiaProps('related');
    }

    private function keep(string $item = ''): void
    {
        $this->put('/keep/courses/clinker/related', self::form(['item' => $item]))->assertSessionHasNoErrors()->assertSessionHas('flash.kind', 'done');
    }

    public function test_whoever_may_take_it_reads_of_it_and_its_button_leads_to_the_checkout(): void
    {
        $this->keep();
        foreach ([null, 'jonas', 'eira'] as $who) {
            $related = $this->related($who);
            self::assertIsArray($related, $who ?? 'a visitor');
            self::assertSame(['Bend them next', "<p>For <em>whoever</em> planks.</p>\n", 'Take the frames', '240 EUR'], [$related['heading'], $related['html'], $related['button'], $related['price']]);
            self::assertIsString($related['href']);
            $this->get($related['href'])->assertOk()->assertInertia(fn ($page) => $page->component('learner/Checkout')->where('refusal', null));
        }
        self::assertNull($this->related('eira', '/courses/clinker/l-welcome'), 'On the page of the course alone.');
    }

    public function test_nobody_else_reads_of_it(): void
    {
        $this->keep();
        app(MakePass::class)($this->person('eira'), Offer::query()->where('key', 'frames-pass')->firstOrFail(), now()->getTimestamp());
        self::assertNull($this->related('eira'), 'She has it.');
        self::assertNull($this->related('hege'), 'She runs the school.');
        Pass::query()->where('person_id', $this->person('eira')->id)->where('course_id', $this->course('steam-frames')->id)->update(['state' => 'revoked']);
        self::assertIsArray($this->related('eira'));
        Offer::query()->where('key', 'frames-pass')->update(['only_label' => 'crew']);
        self::assertNull($this->related('eira'), 'She may not take it.');
        Offer::query()->where('key', 'frames-pass')->update(['only_label' => null, 'price' => null]);
        self::assertNull($this->related(null), 'It is not sold.');
        Offer::query()->where('key', 'frames-pass')->update(['price' => 24000]);
        Course::query()->where('key', 'steam-frames')->update(['hidden' => true]);
        self::assertNull($this->related(null), 'Nobody is to know of it.');
    }

    public function test_it_stands_on_a_lesson_where_it_was_put_there(): void
    {
        $this->keep('l-welcome');
        self::assertIsArray($this->related(null, '/courses/clinker/l-welcome'));
        self::assertNull($this->related(null));
    }

    public function test_of_a_course_that_is_over_nobody_is_told(): void
    {
        $this->put('/keep/courses/clinker/related', self::form(['other' => 'petrol']))->assertSessionHasNoErrors();
        self::assertNull($this->related(null));
        $this->actingAs($this->person('hege'))->get('/keep/courses/clinker/contents')->assertInertia(fn ($page) => $page->where('related.finding', 'Nobody is offered it now: there is nothing of Petrol engines for small boats that anybody could take.'));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'the course itself' => [['other' => 'clinker'], 'other'],
            'one that is not there' => [['other' => 'nowhere'], 'other'],
            'no heading' => [['heading' => ' '], 'heading'],
            'no button' => [['button' => ''], 'button'],
            'a picture from elsewhere' => [['picture' => 'https://elsewhere.test/x.png'], 'picture'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_does_not_go_is_said_at_its_field(array $with, string $field): void
    {
        $this->put('/keep/courses/clinker/related', self::form($with))->assertSessionHasErrors($field);
        self::assertSame(0, RelatedOffer::query()->count());
    }

    public function test_two_who_change_it_at_once_do_not_write_over_each_other_and_it_is_taken_away(): void
    {
        $this->keep();
        $this->put('/keep/courses/clinker/related', self::form(['heading' => 'Another']))->assertSessionHas('flash.kind', 'refused');
        $version = RelatedOffer::query()->sole()->version;
        $this->delete('/keep/courses/clinker/related', ['version' => $version - 1, 'item' => ''])->assertSessionHas('flash.kind', 'refused');
        $this->delete('/keep/courses/clinker/related', ['version' => $version, 'item' => ''])->assertSessionHas('flash.kind', 'done');
        self::assertSame(0, RelatedOffer::query()->count());
        $this->put('/keep/courses/clinker/related', self::form(['item' => 'nothing']))->assertNotFound();
    }

    public function test_its_text_does_nothing_and_its_picture_is_ours(): void
    {
        Picture::query()->create(['token' => str_repeat('c', 24), 'title' => 'A keel', 'width' => 480, 'height' => 300, 'widths' => [480], 'bytes' => 1, 'made_at' => now()]);
        $this->put('/keep/courses/clinker/related', self::form(['text' => '<script>x</script>![](https://elsewhere.test/x.png)[go](javascript:x)', 'picture' => str_repeat('c', 24)]))->assertSessionHasNoErrors();
        $related = $this->related(null);
        self::assertIsArray($related);
        self::assertIsArray($related['picture']);
        self::assertSame('A keel', $related['picture']['title']);
        self::assertIsString($related['html']);
        self::assertStringNotContainsString('script', $related['html']);
        self::assertStringNotContainsString('elsewhere', $related['html']);
    }
}
