<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Models\Language;
use App\Models\Person;
use App\Models\School;
use App\Words\Say;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Lang;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The learner's side in Norwegian, through and through. */
final class NorwegianTest extends TestCase
{
    /** Of which every word is said on the learner's side. */
    private const WHOLE = ['learn', 'learner', 'closed', 'front', 'formats'];

    /** Of which some may come up there. */
    private const SAID = [...self::WHOLE, 'letters', 'wording', 'rules', 'terms', 'cases', 'refused', 'told', 'why', 'acts'];

    /** The same in both languages. */
    private const ALIKE = '/^(\W|\{[^{}]*\}|min|film|For|% |Silent Keep|English|Norsk|start|tier|Start)*$/';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        School::query()->update(['language' => 'nb']);
        $this->inAnotherProcess();
        // What is not said in Norwegian is not said at all: the page breaks.
        Lang::setFallback('nb');
    }

    protected function tearDown(): void
    {
        Lang::setFallback('en');
        Lang::setLocale('en');
        parent::tearDown();
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (self::WHOLE as $file) {
            yield $file => [$file];
        }
    }

    #[DataProvider('files')]
    public function test_every_word_is_there_with_what_goes_in_it(string $file): void
    {
        [$english, $norwegian] = array_map(static fn (string $language): array => Arr::dot(require __DIR__."/../../lang/{$language}/{$file}.php"), ['en', 'nb']);
        self::assertSame([], array_diff(array_keys($english), array_keys($norwegian)), 'missing');
        self::assertSame([], array_diff(array_keys($norwegian), array_keys($english)), 'said by nobody');
        foreach ($norwegian as $key => $pattern) {
            self::assertEqualsCanonicalizing(Say::placeholders($english[$key]), Say::placeholders($pattern), $key);
            if ($file !== 'formats') {
                self::assertNotFalse((new \MessageFormatter('nb', $pattern))->format([]), $key);
                self::assertTrue($pattern !== $english[$key] || preg_match(self::ALIKE, $pattern) === 1 || mb_strlen($pattern) < 9, "{$key} is English still: {$pattern}");
            }
        }
    }

    /** @return iterable<string, array{?string, list<string>}> */
    public static function readers(): iterable
    {
        $course = '/courses/clinker';
        yield 'a visitor' => [null, ['/', '/?subject=Hull', $course, "{$course}/l-welcome", "{$course}/l-planes", "{$course}/b-news", '/courses/steam-frames', '/courses/sails', '/courses/sails/l-reef', '/courses/winter-refit', '/courses/petrol', '/courses/petrol/l-winter', '/checkout/tools-only', '/checkout/yard-trial', '/sign-in', '/sign-in/link/'.str_repeat('x', 40), '/courses/nothing', '/interface-not']];
        yield 'an apprentice' => ['eira', ['/', '/courses', $course, "{$course}/l-planes", "{$course}/l-timber", "{$course}/l-advanced", "{$course}/l-garboard", "{$course}/l-launch", "{$course}/b-marks", "{$course}/b-news", '/checkout/journeyman-pass', '/checkout/apprentice-pass', '/account']];
        yield 'one who watches' => ['ragna', [$course, "{$course}/l-steam", "{$course}/l-timber", "{$course}/l-launch"]];
        yield 'one in a discussion' => ['ask', ['/courses', '/courses/steam-frames', '/courses/steam-frames/b-bench', '/courses/steam-frames/l-heat', '/courses/steam-frames/l-clench']];
        yield 'one with a calendar' => ['embla', ['/courses/winter-refit', '/courses/winter-refit/b-dates', '/courses/winter-refit/l-scrape', '/courses/winter-refit/l-coats']];
        yield 'one whose trial is over' => ['nina', ['/courses', $course, "{$course}/l-planes", '/checkout/yard-trial']];
        yield 'one whose pass is over' => ['gro', ['/courses', $course, "{$course}/l-planes", '/checkout/apprentice-pass']];
        yield 'paused' => ['liv', ['/courses', $course, "{$course}/l-planes", '/checkout/apprentice-pass']];
        yield 'withdrawn' => ['kaia', [$course, "{$course}/l-planes"]];
        yield 'not begun' => ['birk', [$course, "{$course}/l-planes"]];
        yield 'handed out' => ['idun', [$course, "{$course}/l-planes", "{$course}/l-welcome"]];
        yield 'some of it' => ['per', [$course, "{$course}/l-planes", "{$course}/l-garboard"]];
        yield 'what is retired' => ['runa', ['/courses', '/courses/petrol', '/courses/petrol/l-winter']];
        yield 'nothing at all' => ['jonas', ['/', '/courses', $course, "{$course}/l-planes", "{$course}/l-bonus"]];
    }

    /** @param  list<string>  $paths */
    #[DataProvider('readers')]
    public function test_no_english_sentence_is_left(?string $who, array $paths): void
    {
        // Said by the program: what the demo school has written itself stands as it wrote it.
        $this->wordless();
        if ($who !== null) {
            $this->actingAs($this->person($who));
        }
        foreach ($paths as $path) {
            $response = $this->get($path);
            self::assertLessThan(500, $response->getStatusCode(), "{$path}: ".($response->exception?->getMessage() ?? ''));
            $html = (string) $response->getContent();
            self::assertStringContainsString('<html lang="nb"', $html, $path);
            $this->assertNothingEnglish($html, $path);
        }
    }

    private function assertNothingEnglish(string $html, string $path): void
    {
        $props = json_decode(preg_match('#type="application/json">(.*?)</script>#s', $html, $found) === 1 ? $found[1] : 'null', true)['props'] ?? [];
        $said = ' '.html_entity_decode(strip_tags((string) preg_replace('#<script.*?</script>#s', '', $html)), ENT_QUOTES).' '.implode(' | ', array_filter(Arr::dot((array) $props), is_string(...))).' ';
        foreach (self::english() as $key => $words) {
            self::assertStringNotContainsString($words, $said, "{$path} says {$key}");
        }
        self::assertDoesNotMatchRegularExpression('/\b(Mon|Tue|Wed|Thu|Sat|Sun) \d|\bOslo time\b|\d days? left/', $said, $path);
    }

    /** @return array<string, string> pieces of English that hold no placeholder and are long enough to be told from a name */
    private static function english(): array
    {
        static $found = null;
        if ($found === null) {
            $found = [];
            foreach (self::SAID as $name) {
                $file = __DIR__."/../../lang/en/{$name}.php";
                foreach (Arr::dot(require $file) as $key => $pattern) {
                    foreach (preg_split('/\{[^{}]*(?:\{[^{}]*\}[^{}]*)*\}|[.,:;]/', (string) $pattern) ?: [] as $piece) {
                        if (mb_strlen(trim($piece)) >= 12 && str_word_count($piece) >= 3) {
                            $found["{$name}.{$key}"] = trim($piece);
                        }
                    }
                }
            }
        }

        return $found;
    }

    public function test_what_is_refused_and_done_is_told_in_norwegian(): void
    {
        // What is noted beside it is for those who run the school.
        Lang::setFallback('en');
        $this->post('/sign-in', ['email' => 'eira', 'password' => ''])->assertSessionHasErrors(['email' => 'Dette er ingen e-postadresse.', 'password' => 'Skriv passordet ditt.']);
        $this->post('/checkout/tools-only', ['name' => '', 'email' => ''])->assertSessionHasErrors(['name' => 'Skriv navnet ditt.']);
        $this->post('/checkout/tools-only', ['name' => 'Alva', 'email' => 'alva@elsewhere.test'])->assertSessionHas('flash.text', 'Du har Tools only nå. Et brev er på vei til alva@elsewhere.test: med lenken der har du den på alle enheter.');
        $this->actingAs($this->person('ask'))->post('/courses/steam-frames/b-bench/posts', ['text' => ''])->assertSessionHasErrors(['text' => 'Skriv noe først.']);
        $this->actingAs($this->person('eira'))->put('/account/letters', ['kind' => 'ended', 'wanted' => false])->assertSessionHas('flash.text', 'Du får ikke flere brev av dette slaget: En tilgang er over.');
        $this->put('/account/password', ['current' => 'x', 'password' => 'y', 'password_confirmation' => 'z'])->assertSessionHasErrors(['current' => 'Dette er ikke passordet du har nå.']);
    }

    public function test_dates_and_prices_are_written_as_they_are_in_norwegian(): void
    {
        Carbon::setTestNow('2026-03-10T12:00:00Z');
        $props = $this->actingAs($this->person('eira'))->get('/courses/clinker')->inertiaProps();
        self::assertSame('Apprentice pass, til lør. 29. aug. kl. 13:00', $props['course']['pass']);
        self::assertSame('Oslo-tid', $props['school']['zoneName']);
        auth()->logout();
        $column = $this->get('/courses/clinker')->inertiaProps('columns')[0];
        self::assertSame('240 EUR', $column['offer']['price']);
        self::assertContains('en mandag, uke 3', $column['opens']);
    }

    public function test_each_reader_chooses_and_those_who_run_the_school_read_english(): void
    {
        $lang = fn (string $path): string => preg_match('/<html lang="(\w+)"/', (string) $this->get($path)->getContent(), $found) === 1 ? $found[1] : '';
        Lang::setFallback('en');
        self::assertSame('nb', $lang('/'));
        $this->from('/')->post('/language', ['language' => 'en'])->assertRedirect('/')->assertPlainCookie('language');
        self::assertSame('en', $this->withCookie('language', 'en')->get('/')->assertOk()->getContent() === false ? '' : $lang('/'));
        $this->post('/language', ['language' => 'fr'])->assertSessionHasErrors('language');
        // With an account it is the account's, wherever they sign in.
        $this->actingAs($this->person('eira'))->post('/language', ['language' => 'nb']);
        self::assertSame(Language::Norwegian, Person::query()->where('email', 'eira@alder.test')->sole()->language);
        self::assertSame('nb', $lang('/courses'));
        $this->post('/language', ['language' => '']);
        self::assertNull(Person::query()->where('email', 'eira@alder.test')->sole()->language);
        $this->actingAs($this->person('hege'));
        self::assertSame('en', $lang('/keep/courses'));
        // Whose words have changed has the page fetched anew.
        preg_match('/"version":"(school-nb-[^"]*)"/', (string) $this->get('/')->getContent(), $version);
        $this->post('/language', ['language' => 'en']);
        $this->get('/', ['X-Inertia' => 'true', 'X-Inertia-Version' => $version[1] ?? ''])->assertStatus(409);
    }
}
