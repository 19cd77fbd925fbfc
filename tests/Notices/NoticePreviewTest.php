<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\Picture;
use Tests\TestCase;

/** A notice while it is written: as anybody in particular would meet it, and what of it leads nowhere. */
final class NoticePreviewTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array<array-key, mixed>
     */
    private function preview(array $typed, ?string $course = 'clinker'): array
    {
        $told = $this->postJson($course === null ? '/keep/notices/preview' : "/keep/courses/{$course}/notices/preview", ['heading' => 'H', 'text' => 'T', ...$typed])->assertOk()->json();
        self::assertIsArray($told);

        return $told;
    }

    /** @return array<string, mixed> */
    private static function button(string $does, string $to, string $text = 'Go'): array
    {
        return ['kind' => 'button', 'text' => $text, 'does' => $does, 'to' => $to];
    }

    public function test_it_is_just_what_they_would_meet_once_it_is_saved(): void
    {
        $typed = ['heading' => '{title} for {name}', 'text' => '{offer}, {price}; {offers}.', 'titled' => false, 'parts' => [['kind' => 'words'], self::button('lesson', 'l-welcome'), self::button('lesson', 'l-garboard', 'No'), ['kind' => 'offers']]];
        $met = $this->preview([...$typed, 'case' => 'no-pass', 'as' => 'person:'.$this->person('jonas')->id, 'row' => 'l-timber'])['met'];
        self::assertIsArray($met);
        $this->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'show', ...$typed])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
        $page = $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-timber')->assertForbidden();
        foreach (['heading', 'titled', 'html', 'parts', 'case', 'item', 'glyph', 'offers'] as $prop) {
            self::assertEquals($page->inertiaProps($prop), $met[$prop], $prop);
        }
        self::assertSame(['words', 'button', 'offers'], array_column((array) $met['parts'], 'kind'));
        self::assertIsString($met['html']);
        self::assertStringNotContainsString('{', $met['html']);
    }

    public function test_offers_and_prices_are_those_that_this_viewer_may_take_and_that_open_just_this(): void
    {
        $of = function (string $as, string $item): string {
            $met = $this->preview(['text' => '{offer} / {price} / {offers} / {left}', 'case' => 'no-pass', 'as' => $as, 'row' => $item])['met'];

            return is_array($met) && is_string($met['html']) ? trim(strip_tags($met['html'])) : '';
        };
        $jonas = 'person:'.$this->person('jonas')->id;
        $cards = $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->inertiaProps('offers');
        self::assertIsArray($cards);
        self::assertIsArray($cards[0]);
        $this->actingAs($this->person('hege'));
        self::assertStringStartsWith("{$cards[0]['name']} / {$cards[0]['price']} / ", $of($jonas, 'l-planes'));
        self::assertStringEndsWith(' / some time', $of($jonas, 'l-planes'));
        Offer::query()->update(['price' => null]);
        self::assertSame('a pass / its price / a pass / some time', $of($jonas, 'l-planes'), 'What cannot be taken is not named.');
    }

    public function test_who_meets_no_such_door_is_told_of_and_shown_nothing(): void
    {
        $told = $this->preview(['case' => 'no-pass', 'as' => 'visitor']);
        self::assertSame([null, 'No such door here is met by a visitor.'], [$told['met'], $told['told']]);
        $told = $this->preview(['case' => 'unknown', 'as' => 'visitor', 'row' => 'l-welcome']);
        self::assertSame([null, 'This is not met here by a visitor.'], [$told['met'], $told['told']]);
        $told = $this->preview(['case' => 'unknown', 'as' => 'visitor', 'item' => 'm-planks']);
        self::assertIsArray($told['met']);
        self::assertSame('m-planks', $told['met']['item'], 'At the place at which the words stand.');
        self::assertNull($this->preview(['case' => 'unknown', 'as' => 'person:99999'])['met']);
        self::assertNull($this->preview(['case' => 'unknown', 'as' => 'nonsense'])['told']);
        // Words for the holders of an offer are met by its holders alone.
        self::assertNull($this->preview(['case' => 'other-tier', 'as' => 'holder:3:apprentice-pass', 'offer' => 'taster'])['met']);
    }

    public function test_a_button_that_leads_nowhere_is_a_finding(): void
    {
        $findings = fn (array $parts, string $case = 'no-pass', string $text = 'T'): mixed => $this->preview(['case' => $case, 'parts' => $parts, 'text' => $text])['findings'];
        self::assertSame([], $findings([self::button('lesson', 'l-welcome'), self::button('mail', 'hege@alder.test'), self::button('address', '/courses'), self::button('offer', 'apprentice-pass')]));
        self::assertSame(['“Go” leads nowhere for anybody who meets this: it is never shown.'], $findings([self::button('lesson', 'l-garboard')]));
        Offer::query()->where('key', 'tools-only')->update(['price' => null]);
        self::assertSame(['“Go” leads nowhere for anybody who meets this: it is never shown.'], $findings([self::button('offer', 'tools-only')]), 'It is not sold.');
        self::assertSame(['“Go” leads nowhere for anybody who meets this: it is never shown.'], $findings([self::button('address', '/courses/nowhere')]));
        self::assertSame(['The link to /courses/clinker/l-garboard in a text leads to nothing that a stranger may see.'], $findings([], text: 'See [this](/courses/clinker/l-garboard) or [that](/courses/clinker/l-welcome).'));
        self::assertSame(['“Go” leads to nothing that a stranger may see.'], $this->preview(['parts' => [self::button('address', '/courses/clinker/l-garboard')]], null)['findings']);
    }

    public function test_a_button_for_some_is_told_with_those_for_whom_it_is_left_out(): void
    {
        $findings = $this->preview(['case' => 'other-tier', 'parts' => [self::button('offer', 'journeyman-pass', 'Take all')]])['findings'];
        self::assertIsArray($findings);
        foreach ($findings as $finding) {
            self::assertIsString($finding);
            self::assertStringStartsWith('“Take all” is left out for ', $finding);
        }
    }

    public function test_what_is_never_shown_is_told_above_the_course(): void
    {
        $heads = function (): array {
            $this->inAnotherProcess();
            $findings = $this->get('/keep/courses/clinker')->inertiaProps('course.findings');

            return array_map(static fn (mixed $finding): string => is_array($finding) && is_array($finding['segments']) ? implode('', array_column($finding['segments'], 'text')) : '', is_array($findings) ? $findings : []);
        };
        $before = $heads();
        $this->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'show', 'heading' => '', 'text' => '', 'parts' => [self::button('lesson', 'l-garboard', 'Go there')]])->assertSessionHasNoErrors();
        self::assertSame(['“Go there” on a notice (Somebody we know who has no pass) leads nowhere for anybody who meets it: it is never shown.'], array_values(array_diff($heads(), $before)));
    }

    public function test_a_picture_is_one_of_ours(): void
    {
        Picture::query()->create(['token' => str_repeat('b', 24), 'title' => 'A keel', 'width' => 900, 'height' => 600, 'widths' => [480, 900], 'bytes' => 1, 'made_at' => now()]);
        $parts = [['kind' => 'picture', 'to' => str_repeat('b', 24)], ['kind' => 'words']];
        $this->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'show', 'heading' => '', 'text' => '![x](https://elsewhere.test/spy.png) ok', 'parts' => $parts])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
        $page = $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes');
        self::assertSame(['A keel', '/pictures/'.str_repeat('b', 24).'/900'], [$page->inertiaProps('parts.0.picture.title'), $page->inertiaProps('parts.0.picture.address')]);
        self::assertStringNotContainsString('elsewhere.test', (string) $page->getContent());
        Picture::query()->delete();
        $this->inAnotherProcess();
        self::assertSame(['words'], array_column((array) $this->get('/courses/clinker/l-planes')->inertiaProps('parts'), 'kind'), 'One that is gone is left out.');
        self::assertSame(1, NoticeText::query()->count());
    }
}
