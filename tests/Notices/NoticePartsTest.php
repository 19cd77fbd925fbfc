<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\NoticeText;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** What stands on a notice, in which order, and what is left out because it leads nowhere for whoever meets it. */
final class NoticePartsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<array-key, mixed>  $parts
     * @return TestResponse<Response>
     */
    private function save(array $parts, string $case = 'no-pass', ?string $course = 'clinker', int $version = 0): TestResponse
    {
        $this->actingAs($this->person('hege'));

        return $this->put($course === null ? "/keep/notices/{$case}" : "/keep/courses/{$course}/notices/{$case}", ['version' => $version, 'way' => 'show', 'heading' => '', 'text' => 'Mine.', 'address' => null, 'parts' => $parts]);
    }

    /** @return list<string> kinds, buttons by what they say */
    private function metBy(?string $who, string $item = 'l-planes', string $course = 'clinker'): array
    {
        if ($who === null) {
            auth()->logout();
        } else {
            $this->actingAs($this->person($who));
        }
        $this->app->forgetScopedInstances();
        $parts = [];
        foreach ((array) $this->get("/courses/{$course}/{$item}")->inertiaProps('parts') as $part) {
            self::assertIsArray($part);
            $parts[] = is_string($part['href']) && is_string($part['label']) ? "{$part['label']}: {$part['href']}" : (is_string($part['kind']) ? $part['kind'] : '');
        }

        return $parts;
    }

    public function test_nobody_has_said_anything_and_all_stands_as_usual_where_it_leads_somewhere(): void
    {
        self::assertSame(['words', 'sign-in', 'offers', 'ask', 'open'], $this->metBy(null));
        self::assertSame(['words', 'offers', 'ask', 'open'], $this->metBy('jonas'));
        self::assertSame(['words', 'courses', 'next-run', 'ask'], $this->metBy('jonas', 'l-winter', 'petrol'));
        self::assertSame(['words', 'sign-in', 'courses', 'next-run', 'ask'], $this->metBy(null, 'l-winter', 'petrol'));
    }

    public function test_parts_stand_in_the_order_in_which_they_were_put(): void
    {
        $this->save([['kind' => 'offers'], ['kind' => 'heading', 'text' => 'For {course}'], ['kind' => 'words'], ['kind' => 'text', 'text' => 'See *{title}*.'], ['kind' => 'ask'], ['kind' => 'samples']])->assertSessionHasNoErrors();
        self::assertSame(['offers', 'heading', 'words', 'text', 'ask', 'samples'], $this->metBy('jonas'));
        $parts = $this->get('/courses/clinker/l-planes')->inertiaProps('parts');
        self::assertIsArray($parts);
        self::assertSame(['For Clinker planking', "<p>See <em>Tuning a plane</em>.</p>\n", ['l-welcome']], [$parts[1]['label'], $parts[3]['html'], array_column($parts[5]['rows'], 'key')]);
        // Nothing that was taken out.
        self::assertNotContains('open', $this->metBy('jonas'));
    }

    public function test_a_notice_can_be_nothing_but_its_heading(): void
    {
        $this->save([['kind' => 'heading', 'text' => 'Come back in spring']])->assertSessionHasNoErrors();
        self::assertSame(['heading'], $this->metBy('jonas'));
    }

    /** @return array<string, array{array<string, string>, ?string, ?string}> */
    public static function buttons(): array
    {
        return [
            'a lesson that is open to them' => [['does' => 'lesson', 'to' => 'l-welcome'], 'jonas', '/courses/clinker/l-welcome'],
            'a lesson that is closed to them' => [['does' => 'lesson', 'to' => 'l-garboard'], 'jonas', null],
            'a lesson that is not there' => [['does' => 'lesson', 'to' => 'l-nothing'], 'jonas', null],
            'an offer that they may take' => [['does' => 'offer', 'to' => 'apprentice-pass'], 'jonas', '/checkout/apprentice-pass'],
            'an offer that is not sold' => [['does' => 'offer', 'to' => 'taster'], 'jonas', null],
            'an offer for a stranger' => [['does' => 'offer', 'to' => 'apprentice-pass'], null, '/checkout/apprentice-pass'],
            'another course' => [['does' => 'address', 'to' => '/courses/sails'], 'jonas', '/courses/sails'],
            'a course that is not there' => [['does' => 'address', 'to' => '/courses/nothing'], 'jonas', null],
            'a course that nobody may know of' => [['does' => 'address', 'to' => '/courses/oars'], 'jonas', null],
            'a lesson of another course that is closed' => [['does' => 'address', 'to' => '/courses/steam-frames/l-heat'], 'jonas', null],
            'a page of ours' => [['does' => 'address', 'to' => '/courses'], 'jonas', '/courses'],
            'a site elsewhere' => [['does' => 'address', 'to' => 'https://elsewhere.test/shed?x=1'], 'jonas', 'https://elsewhere.test/shed?x=1'],
            'a mail' => [['does' => 'mail', 'to' => 'yard@alder.test'], 'jonas', 'mailto:yard%40alder.test'],
        ];
    }

    /** @param  array<string, string>  $button */
    #[DataProvider('buttons')]
    public function test_a_button_is_there_where_it_leads_somewhere(array $button, ?string $who, ?string $href): void
    {
        foreach (['no-pass', 'unknown'] as $case) {
            $this->save([['kind' => 'words'], ['kind' => 'button', 'text' => 'Go', ...$button]], $case)->assertSessionHasNoErrors();
        }
        self::assertSame($href === null ? ['words'] : ['words', "Go: {$href}"], $this->metBy($who));
    }

    public function test_the_lesson_to_finish_is_named_where_something_is_to_be_finished(): void
    {
        foreach (['finish-first', 'no-pass'] as $case) {
            $this->save([['kind' => 'finish'], ['kind' => 'words']], $case)->assertSessionHasNoErrors();
        }
        self::assertSame(['words'], $this->metBy('jonas'));
        self::assertSame(['finish', 'words'], $this->metBy('eira', 'l-timber'));
        self::assertSame(['l-planes'], array_column($this->get('/courses/clinker/l-timber')->inertiaProps('parts')[0]['rows'], 'key'));
    }

    /** Four lessons one after the other: each closed one leads to the one that can be done now, not to the one before it. */
    public function test_of_a_chain_the_lesson_at_its_open_end_is_named(): void
    {
        NoticeText::query()->delete();
        $this->inAnotherProcess();
        $first = fn (string $who, string $item): array => array_column(array_column($this->actingAs($this->person($who))->get("/courses/clinker/{$item}")->assertForbidden()->inertiaProps('parts'), 'rows', 'kind')['finish'] ?? [], 'key');
        self::assertSame(['l-planes'], $first('eira', 'l-timber'));
        self::assertSame(['l-planes'], $first('eira', 'l-steam'));
        // A module that waits for a module, at a date: the lesson in it that is open.
        self::assertSame(['l-planes'], $first('eira', 'l-garboard'));
        // What waits for a date alone, or for another pass, names nothing to be finished.
        self::assertSame([], $first('ragna', 'l-launch'));
        self::assertSame([], $first('eira', 'l-advanced'));
        self::assertSame([], $first('jonas', 'l-planes'));
    }

    /** @return array<string, array{array<array-key, mixed>, string}> */
    public static function odd(): array
    {
        return [
            'a part that there is not' => [[['kind' => 'fireworks']], 'parts.0.kind'],
            'one of ours twice' => [[['kind' => 'offers'], ['kind' => 'offers']], 'parts'],
            'too many' => [array_fill(0, 21, ['kind' => 'text', 'text' => 'x']), 'parts'],
            'a text without words' => [[['kind' => 'text', 'text' => ' ']], 'parts.0.text'],
            'a placeholder that stands for nothing' => [[['kind' => 'heading', 'text' => '{prices}']], 'parts.0.text'],
            'a button that does nothing' => [[['kind' => 'button', 'text' => 'Go', 'to' => '/courses']], 'parts.0.does'],
            'a button that leads nowhere' => [[['kind' => 'button', 'text' => 'Go', 'does' => 'address', 'to' => '']], 'parts.0.to'],
            'a script' => [[['kind' => 'button', 'text' => 'Go', 'does' => 'address', 'to' => 'javascript:alert(1)']], 'parts.0.to'],
            'another site in disguise' => [[['kind' => 'button', 'text' => 'Go', 'does' => 'address', 'to' => '//elsewhere.test']], 'parts.0.to'],
            'a mail to nobody' => [[['kind' => 'button', 'text' => 'Go', 'does' => 'mail', 'to' => 'nobody']], 'parts.0.to'],
            'no list' => [['a' => ['kind' => 'words']], 'parts'],
            'words that are a list' => [[['kind' => 'text', 'text' => ['x']]], 'parts.0.text'],
        ];
    }

    /** @param  list<array<string, string>>  $parts */
    #[DataProvider('odd')]
    public function test_what_does_not_go_is_said_at_its_part(array $parts, string $field): void
    {
        $this->save($parts)->assertSessionHasErrors($field);
        self::assertSame(0, NoticeText::query()->count());
    }

    public function test_a_school_has_no_lesson_to_lead_to(): void
    {
        $this->save([['kind' => 'button', 'text' => 'Go', 'does' => 'lesson', 'to' => 'l-welcome']], course: null)->assertSessionHasErrors('parts.0.to');
        $this->save([['kind' => 'button', 'text' => 'Go', 'does' => 'mail', 'to' => 'yard@alder.test']], course: null)->assertSessionHasNoErrors();
        self::assertSame(['Go: mailto:yard%40alder.test'], $this->metBy('jonas'));
    }

    public function test_words_of_a_part_are_sanitised_and_what_is_put_in_injects_nothing(): void
    {
        $this->person('jonas')->update(['name' => '<img src=x onerror=alert(1)> [x](javascript:alert(2))']);
        $this->save([['kind' => 'text', 'text' => '{name} <script>alert(3)</script> ![p](https://elsewhere.test/p.png) [y](javascript:alert(4))'], ['kind' => 'heading', 'text' => '{name}']])->assertSessionHasNoErrors();
        $this->metBy('jonas');
        $html = (string) $this->get('/courses/clinker/l-planes')->inertiaProps('parts')[0]['html'];
        foreach (['<img', '<script', 'href="javascript', 'elsewhere.test/p.png"'] as $bad) {
            self::assertStringNotContainsString($bad, $html);
        }
        self::assertStringContainsString('&lt;img', $html);
    }

    public function test_the_usual_order_is_kept_as_nothing_and_what_cannot_be_read_is_left_out(): void
    {
        $this->save(array_map(static fn (PartKind $kind): array => ['kind' => $kind->value], PartKind::USUAL))->assertSessionHasNoErrors();
        self::assertNull(NoticeText::query()->sole()->parts);
        NoticeText::query()->update(['parts' => '[{"kind":"fireworks"},{"kind":"ask"},3]']);
        self::assertEquals([new Part('ask')], Part::of(NoticeText::query()->sole()));
        // What is no JSON at all PostgreSQL would not have taken in.
        NoticeText::query()->update(['parts' => '"nothing"']);
        self::assertEquals(Part::usual(), Part::of(NoticeText::query()->sole()));
    }

    public function test_the_example_of_somebody_who_is_not_signed_in_names_nobody(): void
    {
        $heading = fn (string $case): mixed => $this->postJson('/keep/courses/clinker/notices/preview', ['case' => $case, 'heading' => '{name}, {pass}', 'text' => 'T'])->assertOk()->json('heading');
        self::assertSame(['Eira Holm, Apprentice pass', 'a visitor, your pass', 'a visitor, your pass', 'a visitor, your pass'], array_map($heading, ['finish-first', 'unknown', 'account', 'no-guests']));
    }

    public function test_the_preview_shows_parts_as_they_are_typed(): void
    {
        $preview = $this->postJson('/keep/courses/clinker/notices/preview', ['heading' => 'H', 'text' => 'T', 'item' => 'l-planes', 'parts' => [['kind' => 'heading', 'text' => 'Of {course}'], ['kind' => 'offers'], ['kind' => 'text', 'text' => '{title} {nothing}'], ['kind' => 'odd'], 7]])->assertOk()->json();
        self::assertIsArray($preview);
        self::assertSame([['heading', 'Of Clinker planking', null], ['offers', '', null], ['text', null, "<p>Tuning a plane {nothing}</p>\n"]], array_map(static fn (array $part): array => [$part['kind'], $part['label'], $part['html']], $preview['parts']));
        self::assertSame(['nothing'], $preview['unknown']);
    }
}
