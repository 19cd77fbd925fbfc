<?php

declare(strict_types=1);

namespace Tests\Drafts;

use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** How somebody has arranged the columns of the Rules lens. */
final class ColumnsTest extends TestCase
{
    private const TWO = [['id' => 'closes', 'width' => 90], ['id' => 'opens', 'width' => 240]];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_they_are_kept_for_one_person_in_every_course_until_they_are_as_at_first(): void
    {
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', []));
        $this->postJson('/keep/columns', ['columns' => self::TWO])->assertNoContent();
        foreach (['clinker', 'steam-frames'] as $course) {
            $this->get("/keep/courses/{$course}")->assertInertia(fn (Page $page) => $page->where('columns', self::TWO));
        }
        $this->actingAs($this->person('aksel'))->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', []));

        $this->actingAs($this->person('hege'))->postJson('/keep/columns', ['columns' => []])->assertNoContent();
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', []));
    }

    /** @return iterable<string, array{mixed}> */
    public static function nonsense(): iterable
    {
        yield 'none' => [null];
        yield 'no list' => ['opens'];
        yield 'of another name' => [[['id' => 'price', 'width' => 90]]];
        yield 'twice' => [[['id' => 'opens', 'width' => 90], ['id' => 'opens', 'width' => 90]]];
        yield 'too narrow' => [[['id' => 'opens', 'width' => 47]]];
        yield 'too wide' => [[['id' => 'opens', 'width' => 641]]];
        yield 'without a width' => [[['id' => 'opens']]];
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(mixed $columns): void
    {
        $this->postJson('/keep/columns', ['columns' => $columns])->assertUnprocessable();
        self::assertNull($this->person('hege')->rule_columns);
    }

    public function test_what_is_no_column_any_more_is_left_out(): void
    {
        $this->person('hege')->forceFill(['rule_columns' => [['id' => 'price', 'width' => 90], ['id' => 'opens', 'width' => 240], 'nonsense']])->save();
        $this->actingAs($this->person('hege'))->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('columns', [['id' => 'opens', 'width' => 240]]));
    }

    public function test_rows_are_found_by_what_is_set_for_them(): void
    {
        $this->get('/keep/courses/clinker?lens=sightlines')->assertInertia(function (Page $page): void {
            $told = array_column((array) $page->toArray()['props']['rows'], 'told', 'key');
            self::assertSame('opens 7 days after joining, 09:00', $told['m-tools']);
            self::assertStringContainsString('for journeyman', (string) $told['l-advanced']);
            self::assertSame('for guests only · guests · hidden', $told['l-open-day']);
            self::assertStringContainsString('for label oar-bonus', (string) $told['l-bonus']);
            self::assertStringContainsString('finished by a quiz, from 70 %', (string) $told['l-timber']);
            self::assertArrayNotHasKey('l-garboard', $told);
        });
    }
}
