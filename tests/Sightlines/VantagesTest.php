<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Models\VantageSet;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

final class VantagesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    #[DataProvider('points')]
    public function test_an_address_names_who_looks(string $text, bool $known): void
    {
        self::assertSame($known ? $text : null, VantagePoint::parse($text) === null ? null : (string) VantagePoint::parse($text));
    }

    /** @return list<array{string, bool}> */
    public static function points(): array
    {
        return [
            ['visitor', true], ['guest', true], ['member', true], ['person:12', true], ['holder:8:full', true], ['holder:-3:full', true], ['diligent:0:full', true],
            ['holder:8:a:key:with:colons', true], ['holder:8:nøkkel', true], ['observer:person:12', true], ['observer:holder:8:full', true], ['observer:diligent:8:full', true], ['labelled:oar-bonus:holder:8:full', true], ['labelled:a%20b,c%3Ad:diligent:8:full', true], ['observer:labelled:keen:holder:8:full', true], ['labelled:keen:person:12', false], ['labelled::holder:8:full', false], ['labelled:keen:visitor', false],
            ['', false], ['Visitor', false], ['person:', false], ['person:0', false], ['person:-1', false], ['person:1x', false], ['holder:8:', false], ['holder::full', false],
            ['holder:3661:full', false], ['holder:8.5:full', false], ['observer:visitor', false], ['observer:observer:person:1', false], ["visitor\n", false], ["holder:8:\xff", false],
        ];
    }

    public function test_columns_are_kept_under_a_name_and_replaced_by_the_same(): void
    {
        $this->post('/keep/courses/clinker/vantages', ['name' => ' Before a launch ', 'vantages' => ['visitor', 'holder:8:taster']])->assertSessionHasNoErrors();
        $this->post('/keep/courses/clinker/vantages', ['name' => 'Before a launch', 'vantages' => ['guest']])->assertSessionHasNoErrors();
        $set = VantageSet::query()->sole();
        self::assertSame(['Before a launch', ['guest']], [$set->name, $set->vantages]);
        self::assertSame([['id' => $set->id, 'name' => 'Before a launch', 'vantages' => ['guest']]], $this->get('/keep/courses/clinker?lens=sightlines')->inertiaProps('saved'));
        $this->delete("/keep/courses/clinker/vantages/{$set->id}");
        self::assertSame(0, VantageSet::query()->count());
    }

    public function test_they_are_their_own_and_nobody_elses(): void
    {
        $this->post('/keep/courses/clinker/vantages', ['name' => 'Mine', 'vantages' => ['guest']]);
        $id = VantageSet::query()->sole()->id;
        $this->actingAs($this->person('aksel'));
        self::assertSame([], $this->get('/keep/courses/clinker?lens=sightlines')->inertiaProps('saved'));
        $this->delete("/keep/courses/clinker/vantages/{$id}");
        self::assertSame(1, VantageSet::query()->count());
        $this->actingAs($this->person('eira'))->post('/keep/courses/clinker/vantages', ['name' => 'x', 'vantages' => ['guest']])->assertNotFound();
    }

    public function test_what_is_no_vantage_is_not_kept(): void
    {
        $this->post('/keep/courses/clinker/vantages', ['name' => '', 'vantages' => ['guest']])->assertSessionHasErrors(['name' => 'Please give it a name.']);
        $this->post('/keep/courses/clinker/vantages', ['name' => 'x', 'vantages' => []])->assertSessionHasErrors('vantages');
        $this->post('/keep/courses/clinker/vantages', ['name' => 'x', 'vantages' => ['king']])->assertSessionHasErrors('vantages.0');
        $this->post('/keep/courses/clinker/vantages', ['name' => 'x', 'vantages' => array_fill(0, Vantages::MOST + 1, 'guest')])->assertSessionHasErrors('vantages');
    }

    public function test_people_are_found_by_a_part_of_their_name_or_address(): void
    {
        PersonFactory::new()->called('Percy 100% Oak', 'percy_oak@alder.test')->createOne();
        $names = fn (string $q): array => array_column((array) $this->getJson('/keep/courses/clinker/people?q='.urlencode($q))->assertOk()->json(), 'name');
        self::assertSame(['Eira Holm'], $names('eira'));
        self::assertSame(['Eira Holm'], $names('EIRA@'));
        self::assertSame(['Percy 100% Oak'], $names('100%'));
        self::assertSame(['Percy 100% Oak'], $names('y_o'));
        self::assertSame([], $names('%%'));
        self::assertSame([], $names("'; drop table people; --"));
        self::assertSame([], $names(' '));
        self::assertLessThanOrEqual(12, count($names('alder.test')));
        $this->actingAs($this->person('eira'))->getJson('/keep/courses/clinker/people?q=a')->assertNotFound();
    }

    public function test_a_holder_may_have_labels_besides(): void
    {
        $column = fn (string $point): mixed => $this->actingAs($this->person('hege'))->getJson('/keep/courses/clinker/why?item=l-bonus&v[]='.urlencode($point))->assertOk()->json('glyph');
        self::assertSame('hidden', $column('holder:200:journeyman-pass'));
        self::assertSame('open', $column('labelled:oar-bonus:holder:200:journeyman-pass'));
        $vantages = $this->get('/keep/courses/clinker?lens=sightlines&v[]='.urlencode('labelled:oar-bonus:holder:200:journeyman-pass'))->inertiaProps('sightlines.vantages');
        self::assertIsArray($vantages);
        self::assertSame(['Journeyman pass, day 200, with oar-bonus'], array_column($vantages, 'name'));
    }
}
