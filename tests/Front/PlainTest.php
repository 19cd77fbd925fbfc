<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Models\Content;
use App\Models\Pass;
use App\Models\Person;
use App\Models\QuizTry;
use DOMDocument;
use DOMElement;
use DOMXPath;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Pages as the server writes them, for whoever has no scripts, or not yet: reading, signing in and buying go. */
final class PlainTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private function page(string $path): DOMXPath
    {
        $document = new DOMDocument;
        // What stands in noscript is there for those without scripts.
        @$document->loadHTML('<?xml encoding="UTF-8">'.str_replace(['<noscript>', '</noscript>'], '', (string) $this->get($path)->getContent()));

        return new DOMXPath($document);
    }

    private static function text(DOMXPath $page, string $path): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $page->evaluate("string({$path})")));
    }

    /** @return array<string, string> fields of the first form that goes there, as they are filled in */
    private function form(DOMXPath $page, string $action): array
    {
        $fields = [];
        $inputs = $page->query("//form[@action='{$action}']//input[@name]") ?: [];
        foreach ($inputs as $input) {
            assert($input instanceof DOMElement);
            $fields[$input->getAttribute('name')] = $input->getAttribute('value');
        }
        self::assertNotSame([], $fields, "There is no form to {$action}.");

        return $fields;
    }

    /** @return iterable<string, array{?string, string, list<string>}> */
    public static function pages(): iterable
    {
        yield 'the front' => [null, '/', ['Boats by hand', 'Clinker planking', 'from 60 EUR', 'Have a look first']];
        yield 'the front, narrowed' => [null, '/?subject=Hull', ['Steam-bent frames']];
        yield 'a course from outside' => [null, '/courses/clinker', ['Hang three strakes', '8 lessons, 2 films', 'Apprentice pass', 'a Monday, week 3', 'What you will be able to do', 'What do I need at home?']];
        yield 'a course from inside' => ['ragna', '/courses/clinker', ['Next for you', 'The steam box', 'Finished']];
        yield 'a course that is over' => [null, '/courses/petrol', ['This course is not given any more.']];
        yield 'a lesson' => ['ragna', '/courses/clinker/l-planes', ['Flatten the sole', 'Next:']];
        yield 'a sample' => [null, '/courses/clinker/l-welcome', ['built from the outside in', 'What to bring']];
        yield 'a notice' => [null, '/courses/clinker/l-planes', ['Tuning a plane needs a pass', 'Tools only', 'Sign in']];
        yield 'a board' => ['ask', '/courses/steam-frames/b-bench', ['Has anybody found green oak']];
        yield 'a calendar' => ['embla', '/courses/winter-refit/b-dates', ['opens']];
        yield 'marks' => ['ragna', '/courses/clinker/b-marks', ['Choosing larch']];
        yield 'a checkout' => [null, '/checkout/tools-only', ['This is a simulated shop', 'Your name']];
        yield 'my courses' => ['ragna', '/courses', ['My courses', 'Clinker planking']];
        yield 'signing in' => [null, '/sign-in', ['E-mail address']];
        yield 'an error' => [null, '/courses/nothing', ['There is nothing here']];
    }

    /** @param  list<string>  $words */
    #[DataProvider('pages')]
    public function test_a_page_is_read_without_scripts(?string $who, string $path, array $words): void
    {
        if ($who !== null) {
            $this->actingAs($this->person($who));
        }
        $page = $this->page($path);
        $text = self::text($page, "//div[@id='app']");
        foreach ($words as $expected) {
            self::assertStringContainsString($expected, $text);
        }
        self::assertEquals(1, $page->evaluate("count(//div[@id='app']//h1)"));
        self::assertEquals(1, $page->evaluate("count(//div[@id='app']//main)"));
    }

    public function test_a_narrowed_front_shows_what_is_of_its_subject(): void
    {
        $page = $this->page('/?subject=Hull');
        self::assertEquals(2, $page->evaluate("count(//li[contains(@class, '_card_')])"));
        self::assertEquals(4, $this->page('/?subject=Nothing')->evaluate("count(//li[contains(@class, '_card_')])"));
    }

    public function test_one_signs_in_without_scripts(): void
    {
        $fields = $this->form($this->page('/sign-in?back=/courses/clinker'), '/sign-in');
        $this->post('/sign-in', [...$fields, 'email' => 'ragna@alder.test', 'password' => 'wrong'])->assertRedirect();
        $again = $this->page('/sign-in');
        self::assertStringContainsString('do not belong together', self::text($again, "//div[@id='app']"));
        self::assertSame('ragna@alder.test', $this->form($again, '/sign-in')['email']);
        $this->post('/sign-in', [...$fields, 'email' => 'ragna@alder.test', 'password' => 'larch-and-oak'])->assertRedirect('/courses/clinker');
        $this->assertAuthenticatedAs($this->person('ragna'));
    }

    public function test_one_buys_without_scripts(): void
    {
        $page = $this->page('/courses/clinker');
        $href = $page->evaluate("string(//th[contains(., 'Tools only')]//a/@href)");
        self::assertSame('/checkout/tools-only', $href);
        $fields = $this->form($this->page($href), $href);
        self::assertEqualsCanonicalizing(['_token', 'item', 'shown', 'once', 'name', 'email'], array_keys($fields));
        $this->post($href, [...$fields, 'name' => '', 'email' => 'alva@elsewhere.test'])->assertRedirect();
        self::assertStringContainsString('Please type your name.', self::text($this->page($href), "//div[@id='app']"));
        $this->post($href, [...$fields, 'name' => 'Alva', 'email' => 'alva@elsewhere.test'])->assertRedirect('/courses/clinker');
        self::assertSame(1, Pass::query()->where('person_id', Person::query()->where('claimed_email', 'alva@elsewhere.test')->sole()->id)->count());
        self::assertStringContainsString('You hold Tools only now.', self::text($this->page('/courses/clinker'), "//div[@role='status']"));
    }

    public function test_a_quiz_is_answered_without_scripts_in_whatever_order_it_is_asked(): void
    {
        $ask = static fn (string $ask, array $right, string $told): array => ['ask' => $ask, 'kind' => 'choice', 'answers' => ['Larch', 'Oak', 'Ash'], 'right' => $right, 'told' => ['', '', $told]];
        $quiz = [$ask('First?', [0], 'Ash splits.'), $ask('Second?', [1, 2], ''), ['ask' => 'How many?', 'kind' => 'number', 'answers' => ['12'], 'right' => [], 'told' => [], 'within' => 0], $ask('Fourth?', [1], 'Not ash.')];
        Content::query()->where('item_key', 'l-timber')->update(['quiz' => json_encode($quiz), 'quiz_rules' => json_encode(['shuffle' => true, 'tries' => 3]), 'version' => 5]);
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-planes/finished');
        $page = $this->page('/courses/clinker/l-timber');
        self::assertStringContainsString('3 tries are left.', self::text($page, "//section[contains(@class, '_quiz_')]"));
        self::assertSame([], array_diff(['answers[0][]', 'answers[1][]', 'answers[2][]', 'answers[3][]'], array_keys($this->form($page, '/courses/clinker/l-timber/quiz'))));
        // As a browser sends them: as they stand on the page, digits as words, and the last one not answered.
        $this->post('/courses/clinker/l-timber/quiz', ['version' => '5', 'answers' => [2 => ['12'], 1 => ['1', '2'], 0 => ['2']]])->assertRedirect();
        self::assertSame(0.5, QuizTry::query()->sole()->score);
        $quiz = self::text($this->page('/courses/clinker/l-timber'), "//section[contains(@class, '_quiz_')]");
        foreach (['50 % right.', '2 tries are left.', 'Not right the last time. Ash splits.'] as $told) {
            self::assertStringContainsString($told, $quiz);
        }
        self::assertStringNotContainsString('Not ash.', $quiz);
    }

    public function test_a_lesson_is_finished_and_one_signs_out_without_scripts(): void
    {
        $this->actingAs($this->person('eira'));
        $page = $this->page('/courses/clinker/l-planes');
        $this->post('/courses/clinker/l-planes/finished', $this->form($page, '/courses/clinker/l-planes/finished'))->assertRedirect();
        self::assertStringContainsString('Finished', self::text($this->page('/courses/clinker/l-planes'), '//footer'));
        $this->post('/sign-out', $this->form($page, '/sign-out'))->assertRedirect();
        $this->assertGuest();
    }

    public function test_only_what_is_read_waits_for_its_scripts(): void
    {
        $rests = fn (string $path): bool => $this->page($path)->evaluate("count(//div[@id='app'][@data-rests])") > 0;
        self::assertTrue($rests('/'));
        self::assertTrue($rests('/courses/clinker'));
        self::assertTrue($rests('/courses/clinker/l-planes'));
        self::assertFalse($rests('/courses/clinker/l-welcome'));
        self::assertFalse($rests('/checkout/tools-only'));
        self::assertFalse($rests('/sign-in'));
        // What has just been done is told aloud, which the scripts do.
        $this->withSession(['flash' => ['kind' => 'done', 'text' => 'Done.', 'lines' => [], 'mine' => [], 'undo' => null]]);
        self::assertFalse($rests('/'));
        $this->actingAs($this->person('ragna'));
        self::assertFalse($rests('/courses/clinker'));
    }

    public function test_those_who_run_the_school_get_the_scripts_of_their_own_side(): void
    {
        $this->actingAs($this->person('hege'));
        $keep = (string) $this->get('/keep/courses')->getContent();
        self::assertStringContainsString('data-mantine-color-scheme', $keep);
        self::assertStringContainsString('"version":"keep-', $keep);
        self::assertStringContainsString('"version":"school-', (string) $this->get('/')->getContent());
        // From one side to the other the page is fetched anew.
        preg_match('/"version":"(school-[^"]*)"/', (string) $this->get('/')->getContent(), $version);
        $this->get('/keep/courses', ['X-Inertia' => 'true', 'X-Inertia-Version' => $version[1] ?? ''])->assertStatus(409)->assertHeader('X-Inertia-Location', url('/keep/courses'));
        $this->get('/courses/sails', ['X-Inertia' => 'true', 'X-Inertia-Version' => $version[1] ?? ''])->assertOk();
        self::assertStringContainsString('"version":"school-', (string) $this->get('/keep/courses/clinker/stand-in/view?who=visitor')->getContent());
    }
}
