<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Course;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Revision;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** Rules read, checked, put into a draft, rehearsed and published from outside. */
final class CoursesTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Queue::fake();
    }

    public function test_a_list_goes_on_until_its_end(): void
    {
        $keys = [];
        $after = '';
        do {
            $list = $this->body($this->ask('GET', "/courses?limit=4{$after}")->assertOk());
            self::assertLessThanOrEqual(4, count($list['items']));
            $keys = [...$keys, ...array_column($list['items'], 'key')];
            $after = "&after={$list['next']}";
        } while ($list['next'] !== null);

        self::assertSame(Course::query()->orderBy('id')->pluck('key')->all(), $keys);
        self::assertSame('after', $this->body($this->ask('GET', '/courses?after=YWZ0ZXIg')->assertStatus(422))['parameter']);
        self::assertSame('limit', $this->body($this->ask('GET', '/courses?limit=201')->assertStatus(422))['parameter']);
    }

    public function test_a_list_asks_as_often_however_long_it_is(): void
    {
        $asked = function (int $limit): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->ask('GET', "/courses?limit={$limit}")->assertOk();

            return count(DB::getQueryLog());
        };
        $asked(1);

        self::assertSame($asked(2), $asked(6));
    }

    public function test_what_is_read_can_be_put_back_and_says_nothing_new(): void
    {
        $plan = $this->planOf('clinker');
        $told = $this->ask('PUT', '/courses/clinker/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();

        self::assertSame(0, $this->body($told)['version']);
        self::assertSame(0, Draft::query()->count());
    }

    public function test_a_draft_is_put_rehearsed_and_published(): void
    {
        $plan = $this->planOf('clinker');
        $plan['courses'][0]['title'] = 'Clinker, anew';
        $put = $this->ask('PUT', '/courses/clinker/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();
        self::assertSame('"1"', $put->headers->get('ETag'));
        self::assertCount(1, $this->body($put)['changes']);
        self::assertSame('Clinker planking', $this->body($this->ask('GET', '/courses/clinker'))['title']);
        $rehearsal = $this->body($this->ask('GET', '/courses/clinker/rehearsal')->assertOk());
        self::assertSame([0, 1, true], [$rehearsal['losers'], $rehearsal['version'], $rehearsal['finished']]);
        self::assertGreaterThan(10, $rehearsal['looked']);

        $published = $this->body($this->ask('POST', '/courses/clinker/publications', ['version' => 1, 'note' => 'By a program'])->assertCreated());
        self::assertSame([2, 'By a program'], [$published['number'], $published['note']]);
        self::assertSame('Clinker, anew', $this->body($this->ask('GET', '/courses/clinker'))['title']);
        self::assertSame([1, 2], array_column($this->body($this->ask('GET', '/courses/clinker/revisions'))['items'], 'number'));
        self::assertSame('Clinker planking', $this->body($this->ask('GET', '/courses/clinker/plan?revision=1'))['courses'][0]['title']);
    }

    public function test_what_takes_something_away_needs_the_receipt_of_its_rehearsal(): void
    {
        $plan = $this->planOf('clinker');
        $plan['courses'][0]['state'] = 'draft';
        $this->ask('PUT', '/courses/clinker/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();
        $refused = $this->ask('POST', '/courses/clinker/publications', ['version' => 1])->assertStatus(409);
        self::assertStringEndsWith('#unseen', $this->body($refused)['type']);

        $rehearsal = $this->body($this->ask('GET', '/courses/clinker/rehearsal')->assertOk());
        self::assertGreaterThan(0, $rehearsal['losers']);
        $this->ask('POST', '/courses/clinker/publications', ['version' => 1, 'receipt' => '1.'.str_repeat('a', 64)])->assertStatus(409);
        self::assertSame(1, Revision::query()->where('course_id', $this->course()->id)->count());
        $this->ask('POST', '/courses/clinker/publications', ['version' => 1, 'receipt' => $rehearsal['receipt']])->assertCreated();
    }

    public function test_it_may_wait_for_an_instant(): void
    {
        $plan = $this->planOf('oars');
        $plan['courses'][0]['title'] = 'Oars, anew';
        $this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();
        $this->ask('POST', '/courses/oars/publications', ['version' => 1, 'at' => '2026-03-10T11:00:00Z'])->assertStatus(409);
        $set = $this->ask('POST', '/courses/oars/publications', ['version' => 1, 'at' => '2026-03-12T08:00:00+01:00'])->assertStatus(202);

        self::assertSame('2026-03-12T07:00:00Z', $this->body($set)['publish_at']);
        self::assertSame(1, $this->body($this->ask('GET', '/courses/oars'))['revision']);
    }

    public function test_whoever_has_read_another_version_changes_nothing(): void
    {
        $plan = $this->planOf('oars');
        $this->ask('PUT', '/courses/oars/draft', $plan)->assertStatus(428);
        $plan['courses'][0]['title'] = 'One';
        $this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();
        $plan['courses'][0]['title'] = 'Two';
        $this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"0"'])->assertStatus(412);
        $this->ask('DELETE', '/courses/oars/draft', headers: ['If-Match' => '"7"'])->assertStatus(412);
        $this->ask('POST', '/courses/oars/publications', ['version' => 7])->assertStatus(409);
        self::assertSame('One', $this->body($this->ask('GET', '/courses/oars/plan?draft=true'))['courses'][0]['title']);

        $this->ask('DELETE', '/courses/oars/draft', headers: ['If-Match' => '"1"'])->assertStatus(204);
        $this->ask('GET', '/courses/oars/plan?draft=true')->assertStatus(404);
    }

    public function test_a_plan_that_is_wrong_is_refused_where_it_is(): void
    {
        $plan = $this->planOf('oars');
        $plan['courses'][0]['items'][0]['kind'] = 'chapter';
        $plan['courses'][0]['more'] = 1;
        $pointers = static fn (array $body): array => array_column($body, 'pointer');
        $checked = $this->body($this->ask('POST', '/plans/check', $plan)->assertOk());
        self::assertFalse($checked['valid']);
        self::assertContains('/courses/0/items/0/kind', $pointers($checked['offences']));
        self::assertContains('/courses/0/more', $pointers($checked['offences']));
        $refused = $this->body($this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"0"'])->assertStatus(422));
        self::assertSame($pointers($checked['offences']), $pointers($refused['errors']));

        self::assertTrue($this->body($this->ask('POST', '/plans/check', $this->planOf('oars')))['valid']);
        self::assertSame(['/school/zone'], $pointers($this->body($this->ask('POST', '/plans/check', ['school' => ['zone' => 'Asia/Tokyo', 'guests' => true]] + $this->planOf('oars')))['offences']));
        self::assertSame(['/courses'], $pointers($this->body($this->ask('PUT', '/courses/oars/draft', $this->planOf('sails'), headers: ['If-Match' => '"0"'])->assertStatus(422))['errors']));
        self::assertFalse($this->body($this->send('POST', '/plans/check', '{"format":', $this->token(Ability::cases())))['valid']);
    }

    public function test_an_offer_that_is_new_is_made_with_the_draft(): void
    {
        $plan = $this->planOf('oars');
        $plan['offers'][] = ['key' => 'oars-pass', 'course' => 'oars', 'title' => 'Oars, all of it'];
        $this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"0"'])->assertOk();
        self::assertSame('Oars, all of it', Offer::query()->where('key', 'oars-pass')->value('name'));

        $plan['offers'][] = ['key' => 'taster', 'course' => 'oars'];
        $refused = $this->body($this->ask('PUT', '/courses/oars/draft', $plan, headers: ['If-Match' => '"1"'])->assertStatus(422));
        self::assertCount(1, $refused['errors']);
        self::assertStringStartsWith('/offers/', $refused['errors'][0]['pointer']);
    }

    public function test_courses_are_made_as_drafts_all_or_none(): void
    {
        $plan = $this->planOf('oars');
        $this->ask('POST', '/courses', $plan)->assertStatus(422);
        $plan['offers'] = [];
        $plan['courses'] = [[...$plan['courses'][0], 'key' => 'new-one'], [...$plan['courses'][0], 'key' => 'clinker']];
        $this->ask('POST', '/courses', $plan)->assertStatus(422);
        self::assertNull(Course::query()->where('key', 'new-one')->first());

        $plan['courses'] = [$plan['courses'][0]];
        $made = $this->body($this->ask('POST', '/courses', $plan)->assertCreated());
        self::assertSame([['new-one', 'draft', true]], array_map(static fn (array $one): array => [$one['key'], $one['state'], $one['has_draft']], $made['items']));
        $this->ask('GET', '/courses/new-one/plan')->assertStatus(404);
        $this->ask('GET', '/decisions?course=new-one&kind=visitor')->assertStatus(422);
    }

    public function test_sightlines_are_those_of_the_page(): void
    {
        $told = $this->body($this->ask('GET', '/courses/clinker/sightlines?vantages=visitor%20person:3%20person:99999%20holder:8:apprentice-pass')->assertOk());
        self::assertSame(['visitor', 'person:3', 'holder:8:apprentice-pass'], array_column(array_column($told['vantages'], 'vantage'), 'id'));
        self::assertSame(['person:99999'], $told['missing']);
        self::assertSame($this->body($this->ask('GET', '/decisions?course=clinker&person=3'))['items'], $told['vantages'][1]['items']);

        $this->ask('GET', '/courses/clinker/sightlines?rules=draft')->assertStatus(404);
        self::assertSame('vantages', $this->body($this->ask('GET', '/courses/clinker/sightlines?vantages=nobody')->assertStatus(422))['parameter']);
        self::assertSame('vantages', $this->body($this->ask('GET', '/courses/clinker/sightlines?vantages='.implode('%20', array_map(static fn (int $day): string => "holder:{$day}:taster", range(0, \App\Sightlines\Vantages\Vantages::MOST))))->assertStatus(422))['parameter']);
    }

    public function test_a_course_is_known_by_its_key_whatever_its_address(): void
    {
        $this->course('oars')->update(['address' => 'rowing']);

        $this->ask('GET', '/courses/oars')->assertOk();
        $this->ask('GET', '/courses/rowing')->assertStatus(404);
    }

    /** @return array<string, mixed> */
    private function planOf(string $course): array
    {
        return $this->body($this->ask('GET', "/courses/{$course}/plan")->assertOk());
    }
}
