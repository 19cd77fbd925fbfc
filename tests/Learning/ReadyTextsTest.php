<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Access\Kept;
use App\Models\Content;
use App\Pages\Shared\ReadyText;
use App\Pages\Shared\ReadyTexts;
use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\Repository;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Texts are made ready once: which never shows but in how long a page takes. */
final class ReadyTextsTest extends TestCase
{
    public function test_what_is_kept_is_not_made_again_and_what_was_made_of_another_text_is_not_shown(): void
    {
        $cache = new Repository(new ArrayStore);
        $texts = new ReadyTexts(new Kept($cache));
        self::assertSame([0 => "<p>One</p>\n", 2 => "<p><strong>Two</strong></p>\n"], $texts->all('here', ['One', '  ', '**Two**']));

        self::mark($cache);
        self::assertSame([0 => 'kept 0', 2 => 'kept 2'], $texts->all('here', ['One', '', '**Two**']));
        self::assertEquals([0 => "<p>Another</p>\n", 2 => 'kept 2'], $texts->all('here', ['Another', '', '**Two**']), 'each under its own place');
        self::assertSame("<p>One</p>\n", $texts->one('elsewhere', 'One'));
        self::assertSame('', $texts->one('elsewhere', " \n"));
    }

    public function test_a_text_that_was_taken_out_is_not_kept_on_with_those_that_are_left(): void
    {
        $cache = new Repository(new ArrayStore);
        $texts = new ReadyTexts(new Kept($cache));
        $texts->all('here', ['One', 'Two, by a name', 'Three']);
        $before = self::places($cache);
        $texts->all('here', ['One', '', 'Four']);
        $new = array_diff_key(self::places($cache), $before);
        self::assertCount(1, $new);
        self::assertStringNotContainsString('by a name', serialize($new));
    }

    /** @return array<string, mixed> */
    private static function places(Repository $cache): array
    {
        $store = $cache->getStore();
        assert($store instanceof ArrayStore);

        return array_map(static fn (array $one): mixed => $one['value'], $store->all());
    }

    public function test_a_lesson_says_what_stands_in_it_also_after_it_was_read(): void
    {
        $this->demoSchool();
        $this->actingAs($this->person('eira'));
        $reads = fn (string $html) => $this->get('/courses/clinker/l-welcome')->assertInertia(fn (Page $page) => $page->where('html', $html));
        $lesson = Content::query()->where('course_id', $this->course()->id)->where('item_key', 'l-welcome')->firstOrFail();
        foreach (['Welcome to the *yard*.' => "<p>Welcome to the <em>yard</em>.</p>\n", 'Welcome.' => "<p>Welcome.</p>\n", "Back to the <b onclick='x'>*yard*</b>." => "<p>Back to the <em>yard</em>.</p>\n", '' => ''] as $text => $html) {
            $lesson->update(['text' => $text]);
            $reads($html);
            $reads($html);
        }
    }

    /** Marks all that is kept. */
    private static function mark(Repository $cache): void
    {
        $store = $cache->getStore();
        assert($store instanceof ArrayStore);
        foreach (array_keys($store->all()) as $place) {
            $kept = $cache->get($place);
            assert(is_array($kept));
            foreach ($kept as $nth => [$stamp]) {
                $kept[$nth] = [$stamp, new ReadyText("kept {$nth}")];
            }
            $cache->put($place, $kept);
        }
    }
}
