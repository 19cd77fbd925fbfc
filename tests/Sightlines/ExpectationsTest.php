<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Models\Expectation;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

final class ExpectationsTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    private function expect(string $vantage, string $item, string $must): void
    {
        $this->post('/keep/courses/clinker/expectations', ['vantage' => $vantage, 'item' => $item, 'must' => $must])->assertSessionHasNoErrors();
    }

    /** @return list<array{string, bool, ?string, bool}> words, kept, what instead, broken already */
    private function rehearsed(): array
    {
        $expected = [];
        foreach ((array) $this->get('/keep/courses/clinker/rehearsal')->assertOk()->inertiaProps('expected') as $one) {
            self::assertIsArray($one);
            $text = static fn (mixed $sentence): ?string => is_array($sentence) && is_array($sentence['segments']) ? implode('', array_column($sentence['segments'], 'text')) : null;
            $expected[] = [(string) $text($one['words']), $one['kept'] === true, $text($one['instead']), $one['broken'] === true];
        }

        return $expected;
    }

    public function test_a_rehearsal_warns_before_an_expectation_breaks(): void
    {
        $this->expect('holder:8:apprentice-pass', 'm-tools', 'open');
        $this->expect('visitor', 'l-steam', 'never');
        $this->openAfter(0, 'm-tools', 10);
        self::assertSame([
            ['Apprentice pass, day 8 is let into Tools and timber', false, 'It opens only Thu 12 Mar, 13:00.', false],
            ['A visitor is never let into The steam box', true, null, false],
        ], $this->rehearsed());

        $this->edit(1, 'sample', ['l-steam'], ['value' => 'yes']);
        self::assertSame(['A visitor is never let into The steam box', false, 'It is open as a sample.', false], $this->rehearsed()[1]);
    }

    /** @phpstan-impure */
    private function stamp(): mixed
    {
        return $this->get('/keep/courses/clinker?lens=sightlines')->assertOk()->inertiaProps('expectations');
    }

    public function test_a_lens_is_told_which_cells_are_not_as_expected(): void
    {
        self::assertNull($this->stamp());
        $this->get('/keep/courses/clinker/expectations')->assertOk()->assertExactJson([]);
        $this->expect('holder:8:apprentice-pass', 'm-tools', 'open');
        $first = $this->stamp();
        self::assertIsString($first);
        $this->openAfter(0, 'm-tools', 10);
        $told = fn (string $see): array => array_map(static fn (mixed $one): array => is_array($one) ? [$one['vantage'], $one['item'], $one['kept']] : [], (array) $this->get("/keep/courses/clinker/expectations?see={$see}")->assertOk()->json());
        self::assertSame([['holder:8:apprentice-pass', 'm-tools', false]], $told('draft'));
        self::assertSame([['holder:8:apprentice-pass', 'm-tools', true]], $told('published'));
        $this->expect('visitor', 'l-steam', 'never');
        self::assertNotSame($first, $second = $this->stamp());
        $this->delete('/keep/courses/clinker/expectations/'.Expectation::query()->max('id'));
        self::assertNotSame($second, $this->stamp());
        self::assertSame($first, $this->stamp());
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker/expectations')->assertNotFound();
    }

    public function test_what_is_broken_by_what_is_live_is_told_apart(): void
    {
        $this->expect('visitor', 'l-planes', 'open');
        $this->openAfter(0, 'm-tools', 10);
        self::assertSame([['A visitor is let into Tuning a plane', false, 'It is locked.', true]], $this->rehearsed());
    }

    /** @param  array<string, mixed>  $act */
    #[DataProvider('takenAway')]
    public function test_what_is_not_there_any_more(string $vantage, string $item, string $must, array $act, bool $kept): void
    {
        $this->expect($vantage, $item, $must);
        $this->outline(0, $act);
        self::assertSame($kept, $this->rehearsed()[0][1]);
    }

    /** @return array<string, array{string, string, string, array<string, mixed>, bool}> */
    public static function takenAway(): array
    {
        $delete = ['do' => 'delete', 'items' => ['l-rivets'], 'meant' => true];

        return [
            'a row that was to be open' => ['holder:60:journeyman-pass', 'l-rivets', 'open', $delete, false],
            'a row that was never to open' => ['visitor', 'l-rivets', 'never', $delete, true],
            'an offer' => ['holder:3:no-offer', 'l-planes', 'closed', $delete, false],
        ];
    }

    public function test_never_looks_ahead_and_closed_does_not(): void
    {
        $this->expect('holder:3:apprentice-pass', 'm-tools', 'closed');
        $this->expect('holder:3:apprentice-pass', 'm-tools', 'never');
        $this->openAfter(0, 'm-planks', 40);
        self::assertSame([
            ['Apprentice pass, day 3 is not let into Tools and timber', true, null, false],
            ['Apprentice pass, day 3 is never let into Tools and timber', false, 'It opens Sat 14 Mar, 09:00.', true],
        ], $this->rehearsed());
    }

    public function test_days_are_counted_at_the_time_that_is_rehearsed(): void
    {
        $this->expect('holder:8:apprentice-pass', 'm-tools', 'open');
        $this->openAfter(0, 'm-tools', 8);
        $expected = $this->get('/keep/courses/clinker/rehearsal?for=2026-04-20T09:00')->inertiaProps('expected');
        self::assertIsArray($expected);
        self::assertSame(['Apprentice pass, day 8', true], [$expected[0]['words']['segments'][0]['text'], $expected[0]['kept']]);
    }

    public function test_the_same_is_kept_once_and_can_be_let_go(): void
    {
        $this->expect('visitor', 'l-steam', 'never');
        $this->expect('visitor', 'l-steam', 'never');
        $id = Expectation::query()->sole()->id;
        $this->getJson('/keep/courses/clinker/why?item=l-steam&v[]=visitor')->assertJsonPath('expected.0.id', $id)->assertJsonPath('expected.0.kept', true);
        $this->delete("/keep/courses/sails/expectations/{$id}");
        self::assertSame(1, Expectation::query()->count());
        $this->delete("/keep/courses/clinker/expectations/{$id}");
        self::assertSame(0, Expectation::query()->count());
    }

    public function test_only_administrators_keep_them_and_only_sense(): void
    {
        $this->post('/keep/courses/clinker/expectations', ['vantage' => 'king', 'item' => 'l-steam', 'must' => 'never'])->assertSessionHasErrors('vantage');
        $this->post('/keep/courses/clinker/expectations', ['vantage' => 'visitor', 'item' => 'l-steam', 'must' => 'maybe'])->assertSessionHasErrors('must');
        $this->actingAs($this->person('aksel'))->post('/keep/courses/clinker/expectations', ['vantage' => 'visitor', 'item' => 'l-steam', 'must' => 'never'])->assertForbidden();
        $this->delete('/keep/courses/clinker/expectations/1')->assertForbidden();
    }
}
