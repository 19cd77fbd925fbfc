<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Access\Shelf\RowIndex;
use App\Models\RowTitle;
use App\Words\Typed;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Rows are found by the database's full-text search: what is live, and nothing else. */
final class RowIndexTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @param  list<string>  $titles  among those that are found, the first of them first */
    #[DataProvider('typed')]
    public function test_titles_are_found_by_the_beginnings_of_their_words(string $typed, array $titles): void
    {
        $found = array_map(static fn (RowTitle $row): string => $row->title, (new RowIndex)->find(Typed::of($typed), null));
        self::assertSame($titles, array_slice($found, 0, count($titles)));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function typed(): iterable
    {
        yield 'a beginning' => ['garb', ['The garboard']];
        yield 'one letter more than the word' => ['rivetss', []];
        yield 'the word with an ending' => ['planes', ['Tuning a plane']];
        yield 'case and accents' => ['GÄRBOARD', ['The garboard']];
        yield 'two words in any order' => ['plane tuning', ['Tuning a plane']];
        yield 'signs of the search itself' => ['"garboard* OR (', []];
        yield 'nothing' => ['', []];
        yield 'what is nowhere' => ['submarine', []];
    }

    public function test_what_goes_live_is_found_and_what_it_replaces_is_not(): void
    {
        $course = $this->course('clinker');
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/draft/outline', ['version' => 0, 'do' => 'rename', 'item' => 'l-planes', 'title' => 'Setting a spokeshave'])->assertSessionHasNoErrors();
        $titles = static fn (string $typed): array => array_map(static fn (RowTitle $row): string => $row->item_key, (new RowIndex)->find(Typed::of($typed), [$course->id]));
        self::assertSame([], $titles('spokeshave'));

        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHasNoErrors();

        self::assertSame(['l-planes'], $titles('spokeshave'));
        self::assertNotContains('l-planes', $titles('tuning'));
        self::assertSame([], (new RowIndex)->find(Typed::of('spokeshave'), []));
    }

    public function test_filling_it_anew_changes_nothing(): void
    {
        $told = static fn (): array => RowTitle::query()->toBase()->orderBy('course_id')->orderBy('item_key')->get(['course_id', 'item_key', 'kind', 'title', 'words'])->map(static fn (object $row): array => (array) $row)->all();
        $before = $told();
        self::assertNotSame([], $before);
        (new RowIndex)->fill();
        self::assertSame($before, $told());
    }
}
