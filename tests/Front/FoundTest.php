<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Front\ShareCard;
use App\Models\CourseDocument;
use App\Models\Revision;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What lets the school be found: each page says what it is; what nobody is to find is nowhere. */
final class FoundTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private function headOf(string $path): string
    {
        return strstr((string) $this->get($path)->getContent(), '</head>', true) ?: self::fail();
    }

    private function byInvitation(string $key): void
    {
        $revision = Revision::query()->findOrFail($this->course($key)->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->edit()->set('entry', 'invite');
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
        $this->nothingIsKept();
        $this->inAnotherProcess();
    }

    public function test_where_a_page_goes_on_without_its_head_nothing_is_asked_of_other_courses(): void
    {
        foreach (['/courses/clinker', '/courses/clinker/l-welcome'] as $path) {
            $whole = $this->get($path)->assertOk();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get($path)->assertOk();
            $asked = static fn (): int => count(array_filter(DB::getQueryLog(), static fn (array $one): bool => str_contains($one['query'], 'from "courses" where "live_revision_id" is not null')));
            self::assertSame(1, $asked(), $path);
            $page = $whole->viewData('page');
            $this->withHeaders(['X-Inertia' => 'true', 'X-Inertia-Version' => $page['version']]);
            DB::flushQueryLog();
            $this->get($path)->assertOk()->assertJsonPath('component', $page['component'])->assertJsonPath('props.course.title', $page['props']['course']->title);
            self::assertSame(0, $asked(), $path);
            $this->flushHeaders();
        }
    }

    public function test_each_public_page_says_what_it_is(): void
    {
        $course = $this->headOf('/courses/clinker');
        self::assertStringContainsString('<title inertia>Clinker planking · Alder &amp; Tide</title>', $course);
        self::assertStringContainsString('<meta name="description" content="Hang three strakes on a small pram', $course);
        self::assertStringContainsString('<link rel="canonical" href="http://127.0.0.1:8000/courses/clinker">', $course);
        self::assertStringContainsString('<meta property="og:image" content="http://127.0.0.1:8000/share/clinker.png">', $course);
        self::assertStringNotContainsString('noindex', $course);
        self::assertStringContainsString('<title inertia>Alder &amp; Tide</title>', $this->headOf('/'));
        $sample = $this->headOf('/courses/clinker/l-welcome');
        self::assertStringContainsString('content="A clinker boat is built from the outside in: planks first, frames after.', $sample);
        self::assertStringContainsString('href="http://127.0.0.1:8000/courses/clinker/l-welcome"', $sample);
    }

    public function test_a_page_with_a_question_in_its_address_is_known_by_the_one_without(): void
    {
        self::assertStringContainsString('<link rel="canonical" href="http://127.0.0.1:8000">', str_replace('8000/"', '8000"', $this->headOf('/?subject=Hull')));
    }

    /** @return iterable<string, array{string}> */
    public static function private(): iterable
    {
        yield 'a closed lesson' => ['/courses/clinker/l-planes'];
        yield 'a checkout' => ['/checkout/apprentice-pass'];
        yield 'signing in' => ['/sign-in'];
        yield 'a course that is retired' => ['/courses/petrol'];
        yield 'nothing' => ['/courses/nothing'];
    }

    #[DataProvider('private')]
    public function test_all_other_pages_are_not_to_be_found(string $path): void
    {
        $head = $this->headOf($path);
        self::assertStringContainsString('<meta name="robots" content="noindex">', $head);
        self::assertStringNotContainsString('og:', $head);
        self::assertStringNotContainsString('canonical', $head);
    }

    public function test_a_closed_lesson_says_nothing_of_itself_in_the_head(): void
    {
        $this->actingAs($this->person('ragna'));
        self::assertStringContainsString('noindex', $this->headOf('/courses/clinker/l-planes'));
        self::assertStringNotContainsString('Flatten the sole', $this->headOf('/courses/clinker/l-planes'));
    }

    public function test_addresses_of_all_that_is_public_are_listed(): void
    {
        $response = $this->get('/sitemap.xml')->assertOk();
        self::assertStringStartsWith('application/xml', (string) $response->headers->get('Content-Type'));
        preg_match_all('#<loc>http://127.0.0.1:8000(/[^<]*|)</loc>#', (string) $response->getContent(), $found);
        self::assertSame(['', '/courses/clinker', '/courses/clinker/l-welcome', '/courses/steam-frames', '/courses/steam-frames/l-log', '/courses/sails', '/courses/sails/l-cloth', '/courses/sails/l-seams', '/courses/winter-refit'], array_map(static fn (string $path): string => rtrim($path, '/'), $found[1]));
        foreach (array_filter($found[1]) as $path) {
            auth()->logout();
            $this->get($path)->assertOk();
        }
        self::assertStringContainsString('Sitemap: http://127.0.0.1:8000/sitemap.xml', (string) $this->get('/robots.txt')->assertOk()->getContent());
        self::assertSame('Alder & Tide', $this->get('/site.webmanifest')->assertOk()->json('name'));
    }

    public function test_what_is_hidden_or_by_invitation_is_nowhere(): void
    {
        $this->byInvitation('steam-frames');
        foreach (['/sitemap.xml', '/robots.txt'] as $path) {
            self::assertStringNotContainsString('steam-frames', (string) $this->get($path)->getContent());
            self::assertStringNotContainsString('oars', (string) $this->get($path)->getContent());
        }
        self::assertStringContainsString('noindex', $this->headOf('/courses/steam-frames'));
        self::assertStringContainsString('noindex', $this->headOf('/courses/steam-frames/l-log'));
        foreach (['steam-frames', 'oars', 'petrol', 'nothing'] as $course) {
            $this->get("/share/{$course}.png")->assertNotFound();
        }
        $this->get('/share/clinker.png')->assertOk();
    }

    /** @return iterable<string, array{string}> */
    public static function titles(): iterable
    {
        yield 'a short one' => ['Oars'];
        yield 'with our letters' => ['Ålesund, tjære og håndverk – én gang til'];
        yield 'with letters that our fonts lack' => ['Łódź i żagle 帆'];
        yield 'one long word' => [str_repeat('Klinkbygging', 12)];
        yield 'a very long one' => [str_repeat('How to hang a strake and live. ', 12)];
        yield 'of nothing that can be written' => ['帆'];
    }

    #[DataProvider('titles')]
    public function test_a_card_is_drawn_of_any_title(string $title): void
    {
        $path = (new ShareCard)->file($title, 'Alder & Tide');
        $size = getimagesizefromstring((string) Storage::get($path));
        self::assertSame([1200, 630, IMAGETYPE_PNG], $size === false ? [] : array_slice($size, 0, 3));
        // Once, and kept.
        self::assertSame($path, (new ShareCard)->file($title, 'Alder & Tide'));
        self::assertNotSame($path, (new ShareCard)->file($title, 'Another school'));
    }
}
