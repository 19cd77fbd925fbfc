<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\Plans;
use App\Access\Viewers;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class DecisionsTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_one_is_what_the_core_says(): void
    {
        $eira = $this->person('eira');
        $answer = $this->ask('GET', "/decisions?course=clinker&person={$eira->id}&at=2026-03-10T12:00:00Z")->assertOk();
        $plans = app(Plans::class);
        $decider = $plans->live($this->course()) ?? self::fail('It is published.');
        $said = array_map(static fn ($decision): array => [...$decision->toArray(), 'words' => null], $plans->ask($decider, app(Viewers::class)->of($eira, $this->course()), (int) strtotime('2026-03-10T12:00:00Z'))->decisions());

        self::assertEquals($said, $this->body($answer)['items']);
        self::assertSame($eira->id, $this->body($answer)['person']);
        self::assertContains('locked', array_column($said, 'state'));
    }

    public function test_one_may_be_found_by_their_address(): void
    {
        $eira = $this->person('eira');
        $byId = $this->body($this->ask('GET', "/decisions?course=clinker&person={$eira->id}"));

        self::assertSame($byId, $this->body($this->ask('GET', '/decisions?course=clinker&email=Eira%40alder.test')));
    }

    public function test_an_item_alone_with_words(): void
    {
        $visitor = $this->body($this->ask('GET', '/decisions?course=clinker&kind=visitor&words=true'));
        $locked = array_values(array_filter($visitor['items'], static fn (array $item): bool => $item['state'] === 'locked'))[0];
        $one = $this->body($this->ask('GET', "/decisions?course=clinker&kind=visitor&words=true&item={$locked['item']}"));

        self::assertSame([$locked], $one['items']);
        self::assertNotSame('', $locked['words']);
        self::assertNull($visitor['person']);
    }

    public function test_it_says_how_long_it_may_be_kept(): void
    {
        $answer = $this->ask('GET', '/decisions?course=clinker&kind=visitor&at=2026-03-10T12:00:00Z');
        $kept = $this->body($answer)['kept_for'];

        self::assertGreaterThan(0, $kept);
        self::assertLessThanOrEqual(60, $kept);
        self::assertStringContainsString("max-age={$kept}", (string) $answer->headers->get('Cache-Control'));
        self::assertStringContainsString('private', (string) $answer->headers->get('Cache-Control'));
        $until = $this->body($this->ask('GET', '/decisions?course=clinker&email=eira@alder.test'))['holds_until'];
        self::assertNotNull($until);
        $before = gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($until) - 7);
        self::assertSame(7, $this->body($this->ask('GET', "/decisions?course=clinker&email=eira@alder.test&at={$before}"))['kept_for']);
    }

    public function test_whoever_takes_an_offer(): void
    {
        $key = DB::table('offers')->where('course_id', $this->course()->id)->orderBy('id')->value('key');
        $states = static fn (array $body): array => array_count_values(array_column($body['items'], 'state'));
        $now = $this->body($this->ask('GET', "/decisions?course=clinker&offer={$key}&at=2026-03-10T12:00:00Z"));
        $later = $this->body($this->ask('GET', "/decisions?course=clinker&offer={$key}&from=2026-03-10T12:00:00Z&at=2026-05-20T12:00:00Z"));

        self::assertGreaterThan(0, $states($now)['open'] ?? 0);
        self::assertNotEquals($states($now), $states($later));
    }

    public function test_many_are_what_each_is(): void
    {
        $people = Person::query()->orderBy('id')->limit(12)->pluck('id')->all();
        $many = $this->body($this->ask('POST', '/decisions', ['course' => 'clinker', 'people' => [...array_reverse($people), 999_999, $people[0]], 'at' => '2026-03-10T12:00:00Z']));

        self::assertSame([999_999], $many['missing']);
        self::assertSame($people, array_column($many['people'], 'person'));
        foreach ($many['people'] as $told) {
            self::assertSame($this->body($this->ask('GET', "/decisions?course=clinker&person={$told['person']}&at=2026-03-10T12:00:00Z"))['items'], $told['items']);
        }
    }

    public function test_many_take_as_many_queries_as_one(): void
    {
        $asked = function (int $people): int {
            $ids = Person::query()->orderBy('id')->limit($people)->pluck('id')->all();
            $this->ask('POST', '/decisions', ['course' => 'clinker', 'people' => $ids]);
            DB::flushQueryLog();
            DB::enableQueryLog();
            self::assertCount(count($ids), $this->body($this->ask('POST', '/decisions', ['course' => 'clinker', 'people' => $ids]))['people']);

            return count(DB::getQueryLog());
        };

        self::assertSame($asked(1), $asked(30));
    }

    public function test_more_than_ten_thousand_are_refused(): void
    {
        $count = count($this->body($this->ask('GET', '/decisions?course=clinker&kind=visitor'))['items']);
        $refused = $this->ask('POST', '/decisions', ['course' => 'clinker', 'people' => range(1, intdiv(10_000, $count) + 1)])->assertStatus(422);

        self::assertSame('/people', $this->body($refused)['errors'][0]['pointer']);
        $this->ask('POST', '/decisions', ['course' => 'clinker', 'people' => range(1, intdiv(10_000, $count))])->assertOk();
    }

    public function test_what_is_wrong_is_said_where_it_is(): void
    {
        foreach (['course=nothing&kind=visitor' => 'course', 'course=clinker&kind=visitor&item=nothing' => 'item', 'course=clinker&kind=nobody' => 'kind', 'course=clinker' => 'person', 'course=clinker&kind=visitor&person=1' => 'kind', 'course=clinker&person=0' => 'person', 'course=clinker&person=999999' => 'person',
            'course=clinker&offer=nothing' => 'offer', 'course=clinker&kind=visitor&at=yesterday' => 'at', 'course=clinker&kind=visitor&words=1' => 'words', 'kind=visitor' => 'course', 'course=clinker&kind=visitor&also=this' => 'also', 'course[]=clinker&kind=visitor' => 'course', 'course=clinker&email=eira@alder.test&observes=1' => 'observes'] as $query => $parameter) {
            self::assertSame($parameter, $this->body($this->ask('GET', "/decisions?{$query}")->assertStatus(422))['parameter'], $query);
        }
        $refused = $this->body($this->ask('POST', '/decisions', ['course' => 7, 'people' => [1, 'two', 1], 'also' => true]))['errors'];
        self::assertEqualsCanonicalizing(['/course', '/people/1', '/also'], array_column($refused, 'pointer'));
        self::assertSame(['/people'], array_column($this->body($this->ask('POST', '/decisions', ['course' => 'clinker']))['errors'], 'pointer'));
    }
}
