<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Models\Pass;
use Illuminate\Support\Facades\Artisan;
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
