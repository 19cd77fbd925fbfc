<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Offer;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What no page of ours sends: refused, with nothing done, and never an error of the server's own. */
#[Group('long')]
final class OddInputTest extends TestCase
{
    /** Whatever any form of ours sends. */
    private const FIELDS = [
        'version', 'set', 'items', 'item', 'value', 'plan', 'rule', 'at', 'days', 'time', 'weekday', 'only', 'by', 'share', 'score', 'mode', 'of', 'count', 'inOrder', 'do', 'title', 'titles', 'kind', 'inside',
        'to', 'name', 'email', 'password', 'once', 'offer', 'tier', 'scope', 'lasts', 'until', 'from', 'sale', 'price', 'currency', 'labels', 'label', 'trial', 'erases', 'state', 'entry', 'opens', 'closes',
        'keepAfterRetiring', 'sampleNeedsAccount', 'guestsOpen', 'guestsDefault', 'observersOpen', 'observersDefault', 'observersFollow', 'tiers', 'guestPhrase', 'note', 'receipt', 'live', 'number', 'people', 'filter', 'pass',
        'grant', 'observer', 'subject', 'body', 'anew', 'stops', 'course', 'text', 'quiz', 'board', 'about', 'was', 'way', 'heading', 'address', 'file', 'seconds', 'phrase', 'learner', 'answers', 'id', 'actor', 'verb',
        'object', 'result', 'vantage', 'vantages', 'must', 'like', 'meant', 'guests', 'contactName', 'contactEmail', 'warnDays', 'graceDays', 'options', 'v', 'lens', 'see', 'compare', 'for', 'back', 'steps', 'fixes', 'q',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    #[DataProvider('odd')]
    public function test_no_route_breaks_on_what_no_page_sends(mixed $odd, string $who): void
    {
        $offer = Offer::query()->firstOrFail()->id;
        $form = array_fill_keys(self::FIELDS, $odd);
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
            if (in_array($route->uri(), ['sign-out', 'up'], true) || str_starts_with($route->uri(), 'storage/')) {
                continue;
            }
            $address = '/'.preg_replace(['/\{course\}/', '/\{item\??\}/', '/\{offer\}/', '/\{token\}/', '/\{case\}/', '/\{\w+\??\}/'], ['clinker', 'l-planes', str_contains($route->uri(), 'keep/') ? (string) $offer : 'tools-only', str_repeat('a', 32), 'too-early', '1'], $route->uri());
            $who === '' ? $this->app['auth']->forgetGuards() : $this->actingAs($this->person($who));
            $this->app->forgetScopedInstances();
            // A form sends text and lists alone.
            $asForm = $who === 'hege' && (is_string($odd) || is_array($odd));
            foreach ([...($asForm ? [$this->call($method, $address, $form)] : []), $this->json($method, $address, $form)] as $answer) {
                if ($answer->getStatusCode() >= 500) {
                    self::fail("{$method} {$address}: {$answer->exception?->getMessage()}, {$answer->exception?->getFile()}:{$answer->exception?->getLine()}");
                }
            }
            $tried++;
        }
        self::assertGreaterThan(90, $tried);
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function odd(): iterable
    {
        foreach (['a list in place of a text' => ['x', ['y' => ['z']]], 'a map in place of a text' => ['a' => 1], 'a number' => 7, 'a negative number' => -1, 'a fraction' => 1.5, 'true' => true, 'nothing' => null, 'an empty list' => [], 'a huge number' => PHP_INT_MAX, 'a long text' => str_repeat('x', 2_000), 'a text of marks' => "'\"<>%_\\;--/../{{7*7}}"] as $what => $odd) {
            // Administrators reach all routes; the others are tried with what has broken most.
            foreach (is_array($odd) || is_string($odd) ? ['hege', 'eira', ''] : ['hege'] as $who) {
                yield "{$what}, by ".($who === '' ? 'nobody' : $who) => [$odd, $who];
            }
        }
    }

    /** A stranger's checkout form blanked the administrators' People page; a learner's post a board. */
    #[DataProvider('unreadable')]
    public function test_text_that_cannot_be_shown_is_refused_at_its_field(string $text): void
    {
        $before = DB::table('people')->count();
        $this->post('/checkout/tools-only', ['name' => "Al{$text}va", 'email' => 'alva@elsewhere.test'])->assertSessionHasErrors('name');
        $this->postJson('/keep/people/preview', [])->assertUnauthorized();
        self::assertSame($before, DB::table('people')->count());
        $this->actingAs($this->person('oda'))->post('/courses/steam-frames/b-bench/posts', ['text' => "x{$text}y"])->assertSessionHasErrors('text');
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'label', 'people' => [$this->person('eira')->id], 'label' => "a{$text}b"])->assertSessionHasErrors('label');
        $this->post('/keep/courses/clinker/draft/outline', ['version' => 0, 'do' => 'rename', 'item' => 'l-planes', 'title' => "a{$text}b"])->assertSessionHasErrors('title');
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent("a{$text}b.csv", "name,email\n")])->assertSessionHasErrors('file');
        $this->get('/keep/people?find='.rawurlencode("a{$text}b"))->assertStatus(422);
        $this->call('POST', '/keep/people/preview', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: json_encode(['do' => 'label', 'people' => [1], 'label' => "a{$text}b"], JSON_INVALID_UTF8_IGNORE) ?: '')
            ->assertStatus(mb_check_encoding($text, 'UTF-8') ? 422 : 200);
        $this->get('/keep/people')->assertOk();
    }

    /** @return array<string, array{string}> */
    public static function unreadable(): array
    {
        return ['no valid UTF-8' => ["\xC3\x28"], 'half a letter' => ["\xE2\x82"], 'an overlong letter' => ["\xC0\xAF"], 'NUL' => ["\0"], 'escape' => ["\x1B[2J"], 'delete' => ["\x7F"], 'bell' => ["\x07"]];
    }

    public function test_line_breaks_and_tabs_are_text(): void
    {
        $this->actingAs($this->person('oda'))->post('/courses/steam-frames/b-bench/posts', ['text' => "one\n\ttwo\r\nthree"])->assertSessionHasNoErrors();
    }

    public function test_bodies_of_more_than_a_megabyte_are_refused_but_where_files_are_put_in(): void
    {
        $this->actingAs($this->person('hege'));
        $body = (string) json_encode(['text' => str_repeat('x', 1_100_000)]);
        $server = ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_CONTENT_LENGTH' => (string) strlen($body)];
        foreach (['/keep/text-preview', '/courses/clinker/l-steam/statements', '/sign-in/link'] as $address) {
            $this->call('POST', $address, server: $server, content: $body)->assertStatus(413);
            // Also where it does not say how long it is.
            $this->call('POST', $address, server: array_diff_key($server, ['HTTP_CONTENT_LENGTH' => 1]), content: $body)->assertStatus(413);
        }
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.csv', "name,email\n".str_repeat("Alva,alva@alder.test\n", 60_000))], ['Content-Length' => '1300000'])->assertSessionHasNoErrors();
    }

    public function test_a_checkout_with_an_item_that_is_no_text_gives_nothing(): void
    {
        $this->actingAs($this->person('jonas'))->post('/checkout/tools-only', ['item' => ['x' => 'y']])->assertSessionHasErrors('item');
        self::assertSame(0, DB::table('passes')->where('person_id', $this->person('jonas')->id)->count());
    }
}
