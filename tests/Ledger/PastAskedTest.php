<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Counting\CountOn;
use App\Models\Pass;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Queue;
use Tests\Api\AsksTheInterface;
use Tests\TestCase;

/** The past as it is asked from outside and on a terminal: the same answers. */
final class PastAskedTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_the_interface_tells_what_was_answered_then(): void
    {
        $eira = $this->person('eira');
        $now = $this->body($this->ask('GET', "/decisions?course=clinker&person={$eira->id}&at=2026-03-10T12:00:00Z"));
        Pass::query()->where('person_id', $eira->id)->update(['state' => 'revoked']);
        $this->travel(3)->days();
        $then = $this->body($this->ask('GET', "/decisions/past?course=clinker&person={$eira->id}&at=2026-03-09T12:00:00Z"));

        $states = static fn (mixed $items): array => array_column((array) $items, 'state', 'item');
        self::assertSame($states($now['items'])['m-start'], $states($then['items'])['m-start']);
        self::assertSame([1, true, null], [$then['revision'], $then['was_there'], $then['known_now']]);
        $visitor = $this->body($this->ask('GET', '/decisions/past?course=clinker&kind=visitor&at=2026-03-09T12:00:00Z&words=true'));
        self::assertNull($visitor['person']);
        self::assertNotContains('open', array_diff_key($states($visitor['items']), ['l-welcome' => 1]));
        // Somebody who is not there any more, or never was, is nobody to be refused.
        self::assertFalse($this->body($this->ask('GET', '/decisions/past?course=clinker&person=987654&at=2026-03-09T12:00:00Z'))['was_there']);
    }

    public function test_what_cannot_be_asked_is_refused_where_it_stands(): void
    {
        foreach ([
            'course=clinker&person=3&at=2036-03-09T12:00:00Z' => 'at', 'course=clinker&person=3&at=2016-03-09T12:00:00Z' => 'at', 'course=clinker&at=2026-03-09T12:00:00Z' => 'person',
            'course=clinker&person=3&kind=guest&at=2026-03-09T12:00:00Z' => 'person', 'course=nothing&person=3&at=2026-03-09T12:00:00Z' => 'course', 'course=clinker&person=3' => 'at',
        ] as $query => $parameter) {
            self::assertSame($parameter, $this->ask('GET', "/decisions/past?{$query}")->assertUnprocessable()->json('parameter'), $query);
        }
    }

    public function test_what_changed_is_told_as_on_the_page(): void
    {
        $eira = $this->person('eira');
        $this->travel(1)->days();
        Pass::query()->where('person_id', $eira->id)->update(['state' => 'revoked']);
        $this->travel(1)->days();
        $told = $this->body($this->ask('GET', '/courses/clinker/changes?from=2026-03-11T08:00:00Z&until=2026-03-12T08:00:00Z')->assertOk());
        $page = $this->actingAs($this->person('hege'))->get('/keep/courses/clinker/changed?from=2026-03-11T09:00&until=2026-03-12T09:00')->assertOk();
        self::assertEquals(json_decode((string) json_encode($page->inertiaProps('causes')), true), $told['people']['causes']);
        self::assertContains(['id' => $eira->id, 'name' => $eira->name, 'with' => null], array_merge(...array_column(array_column($told['people']['causes'], null, 'key')['pass_withdrawn']['counts'], 'some')));
        self::assertSame([true, 33, 33], [$told['finished'], $told['looked'], $told['of']]);
    }

    public function test_what_is_being_counted_is_asked_for_again(): void
    {
        Queue::fake();
        $asked = '/courses/clinker/changes?from=2026-03-09T08:00:00Z&until=2026-03-10T08:00:00Z';
        foreach ([1, 2] as $_) {
            self::assertSame(['2', false, 0], [$this->ask('GET', $asked)->assertStatus(202)->headers->get('Retry-After'), ...array_values(array_intersect_key($this->body($this->ask('GET', $asked)), ['finished' => 1, 'looked' => 1]))]);
        }
        Queue::assertPushed(CountOn::class, 1);
        foreach (['from=2026-03-10T08:00:00Z&until=2026-03-10T08:00:00Z' => 'from', 'from=2026-03-10T08:00:00Z&until=2036-03-10T08:00:00Z' => 'until', 'from=2026-03-10T08:00:00Z' => 'until', 'from=soon&until=2026-03-10T08:00:00Z' => 'from'] as $query => $parameter) {
            self::assertSame($parameter, $this->ask('GET', "/courses/clinker/changes?{$query}")->assertUnprocessable()->json('parameter'), $query);
        }
        $this->ask('GET', $asked, token: $this->token([Ability::Decide, Ability::ReadCourses]))->assertForbidden();
    }

    public function test_the_command_tells_the_same(): void
    {
        $told = $this->body($this->ask('GET', "/decisions/past?course=clinker&person={$this->person('eira')->id}&at=2026-03-09T12:00:00Z&words=true"));
        self::assertSame(0, Artisan::call('keep:past', ['course' => 'clinker', 'at' => '2026-03-09T13:00', '--person' => 'Eira@alder.test', '--json' => true]));
        self::assertEquals($told, json_decode(Artisan::output(), true));
        self::assertSame(0, Artisan::call('keep:past', ['course' => 'clinker', 'at' => '2026-03-09T12:00:00Z']));
        self::assertStringContainsString('m-tools', Artisan::output());
        foreach ([['course' => 'nothing', 'at' => '2026-03-09T13:00'], ['course' => 'clinker', 'at' => 'soon'], ['course' => 'clinker', 'at' => '2036-03-09T13:00'], ['course' => 'clinker', 'at' => '2026-03-09T13:00', '--person' => 'nobody@alder.test']] as $with) {
            self::assertSame(2, Artisan::call('keep:past', $with));
        }
    }
}
