<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Models\Person;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The frame of the administrator's side, which stands there before its scripts have come. */
final class KeepFrameTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** What stands in the place of the page, without what Inertia reads. */
    private function frame(string $path): string
    {
        $content = (string) $this->get($path)->assertOk()->getContent();

        return substr($content, (int) strpos($content, '<div id="app"'));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function pages(): iterable
    {
        yield 'people' => ['/keep/people', 'People', '/keep/people'];
        yield 'a course' => ['/keep/courses/clinker', 'Clinker planking', '/keep/courses'];
        yield 'a person' => ['/keep/people/3', 'Eira Holm', '/keep/people'];
        yield 'offers' => ['/keep/offers', 'Offers', '/keep/offers'];
    }

    #[DataProvider('pages')]
    public function test_the_places_and_the_heading_are_there(string $path, string $heading, string $place): void
    {
        $frame = $this->frame($path);
        self::assertStringContainsString("<h1>{$heading}</h1>", $frame);
        self::assertMatchesRegularExpression('~<a href="'.preg_quote($place).'"\s+aria-current="page"\s*>~', $frame);
        self::assertSame(1, substr_count($frame, 'aria-current="page"'));
        self::assertStringContainsString('<noscript><p>', $frame);
    }

    public function test_names_are_written_as_text(): void
    {
        $this->person('hege')->update(['name' => '<img src=x onerror=alert(1)>']);
        self::assertStringNotContainsString('<img', $this->frame('/keep/courses/clinker'));
    }

    public function test_who_does_not_run_the_school_sees_no_place_for_those_who_do(): void
    {
        self::assertStringContainsString('href="/keep/outbox"', $this->frame('/keep/people'));
        $this->actingAs(Person::query()->where('role', 'assistant')->firstOrFail());
        self::assertStringNotContainsString('href="/keep/outbox"', $this->frame('/keep/people'));
    }

    public function test_scripts_come_after_styles_and_fonts(): void
    {
        $page = (string) $this->get('/keep/people')->getContent();
        $kept = explode('</template>', explode('<template id="scripts">', $page, 2)[1] ?? '', 2)[0];
        self::assertMatchesRegularExpression('~<link rel="modulepreload" href="/build/assets/People-[\w-]+\.js">~', $kept);
        self::assertStringNotContainsString('modulepreload', str_replace($kept, '', $page));
        self::assertSame(0, preg_match_all('~<script type="module" src="[^"]*/People-~', $page));
    }
}
