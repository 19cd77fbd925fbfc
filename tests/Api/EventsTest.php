<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Models\IncomingEvent;
use App\Models\Label;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Triggers\Outside\HttpSignature;
use App\Triggers\Runs\PerformRuns;
use App\Triggers\Runs\SetOff;
use App\Triggers\SaveTrigger;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** What systems of others tell: known to be theirs, taken once, and setting triggers off. */
final class EventsTest extends TestCase
{
    use AsksTheInterface;

    private const EVENT = ['specversion' => '1.0', 'id' => 'seat-88', 'source' => 'https://regatta.example/', 'type' => 'regatta.entered', 'data' => ['person' => ['email' => 'Eira@alder.test']]];

    private OutsideSystem $system;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->system = OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/', 'on' => true, 'secret' => str_repeat('s', 43)]);
    }

    public function test_it_is_taken_and_sets_triggers_off_once(): void
    {
        $trigger = app(SaveTrigger::class)->make('Entered', new TriggerSpec(new When('outside-event', system: $this->system->id, type: 'regatta.entered'), new Only, [new Step('give-label', label: 'racing')]), $this->person('hege'));
        app(SaveTrigger::class)->switch($trigger, true, $trigger->version, $this->person('hege'));
        Carbon::setTestNow('2026-03-10T12:01:00Z');
        self::assertFalse($this->body($this->tell(self::EVENT)->assertStatus(202))['again']);
        $this->tell([...self::EVENT, 'id' => 'seat-89', 'type' => 'regatta.left'])->assertStatus(202);
        Carbon::setTestNow('2026-03-10T12:02:00Z');
        self::assertSame(1, app(SetOff::class)());
        self::assertSame(0, app(SetOff::class)());
        (new PerformRuns)->handle(app(\App\Triggers\Runs\PerformRun::class));

        self::assertSame([$this->person('eira')->id], Label::query()->where('label', 'racing')->pluck('person_id')->all());
    }

    public function test_the_same_event_in_a_message_of_its_own_does_nothing_more(): void
    {
        $this->tell(self::EVENT)->assertStatus(202);
        Carbon::setTestNow('2026-03-10T12:00:05Z');
        self::assertTrue($this->body($this->tell(self::EVENT)->assertStatus(202))['again']);
        self::assertFalse($this->body($this->tell([...self::EVENT, 'source' => 'https://regatta.example/two'])->assertStatus(202))['again']);

        self::assertSame(2, IncomingEvent::query()->count());
    }

    public function test_a_copy_of_a_message_is_refused(): void
    {
        $this->tell(self::EVENT)->assertStatus(202);
        Carbon::setTestNow('2026-03-10T12:00:05Z');

        $this->tell(self::EVENT, at: '2026-03-10T12:00:00Z')->assertStatus(409);
        self::assertSame(1, IncomingEvent::query()->count());
    }

    /** @return iterable<string, array{\Closure(array<string, string>): array<string, string>}> */
    public static function forged(): iterable
    {
        yield 'no signature' => [static fn (array $headers): array => []];
        yield 'another one' => [static fn (array $headers): array => ['Signature' => 'sig=:'.base64_encode(str_repeat('x', 32)).':'] + $headers];
        yield 'of another body' => [static fn (array $headers): array => ['Content-Digest' => 'sha-256=:'.base64_encode(hash('sha256', 'another', true)).':'] + $headers];
        yield 'made later' => [static fn (array $headers): array => ['Signature-Input' => (string) preg_replace('/created=\d+/', 'created=1773144060', $headers['Signature-Input'])] + $headers];
        yield 'by another system' => [static fn (array $headers): array => ['Signature-Input' => str_replace('outside-1', 'outside-2', $headers['Signature-Input'])] + $headers];
        yield 'less covered' => [static fn (array $headers): array => ['Signature-Input' => str_replace(' "content-digest"', '', $headers['Signature-Input'])] + $headers];
    }

    /** @param  \Closure(array<string, string>): array<string, string>  $forged */
    #[DataProvider('forged')]
    public function test_what_is_not_signed_so_is_refused(\Closure $forged): void
    {
        OutsideSystem::query()->create(['name' => 'Another', 'address' => 'https://another.example/', 'on' => true, 'secret' => str_repeat('t', 43)]);

        $this->tell(self::EVENT, forged: $forged)->assertStatus(401);
        self::assertSame(0, IncomingEvent::query()->count());
    }

    public function test_what_is_stale_or_comes_from_a_system_that_is_off_is_refused(): void
    {
        $this->tell(self::EVENT, at: '2026-03-10T11:54:59Z')->assertStatus(401);
        $this->tell(self::EVENT, at: '2026-03-10T12:05:01Z')->assertStatus(401);
        $this->system->update(['on' => false]);
        $this->tell(self::EVENT)->assertStatus(401);
        $this->system->update(['on' => true]);
        $this->tell(self::EVENT, at: '2026-03-10T11:55:00Z')->assertStatus(202);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'another version' => [['specversion' => '0.3'], '/specversion'];
        yield 'no id' => [['id' => ''], '/id'];
        yield 'nobody' => [['data' => ['person' => ['email' => 'nobody@alder.test']]], '/data/person'];
        yield 'staff' => [['data' => ['person' => ['email' => 'hege@alder.test']]], '/data/person'];
        yield 'two names' => [['data' => ['person' => ['email' => 'eira@alder.test', 'id' => 3]]], '/data/person'];
        yield 'no data' => [['data' => 'eira'], '/data'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('wrong')]
    public function test_what_is_no_event_about_anybody_is_refused(array $more, string $pointer): void
    {
        self::assertSame($pointer, $this->body($this->tell([...self::EVENT, ...$more])->assertStatus(422))['errors'][0]['pointer']);
        self::assertSame(0, IncomingEvent::query()->count());
    }

    public function test_those_that_were_told_are_listed_and_told_again(): void
    {
        Queue::fake();
        foreach (['waiting', 'taken', 'failed'] as $index => $state) {
            OutsideEvent::query()->create(['outside_system_id' => $this->system->id, 'event' => "6f1a52c0-75b8-4b0c-9d57-5f2f6cfd4d0{$index}", 'once' => "one {$index}", 'state' => $state, 'tries' => 3, 'made_at' => '2026-03-10T12:00:00Z', 'body' => '{"specversion":"1.0","id":"a"}']);
        }
        self::assertCount(3, $this->body($this->ask('GET', '/events'))['items']);
        self::assertSame(['failed'], array_column($this->body($this->ask('GET', '/events?state=failed'))['items'], 'state'));
        $again = $this->body($this->ask('POST', '/events/3/replay')->assertStatus(202));
        self::assertSame(['waiting', 0], [$again['state'], $again['tries']]);
        $this->ask('POST', '/events/1/replay')->assertStatus(409);
        $this->ask('POST', '/events/9/replay')->assertStatus(404);
    }

    /**
     * @param  array<string, mixed>  $event
     * @param  ?\Closure(array<string, string>): array<string, string>  $forged
     * @return TestResponse<Response>
     */
    private function tell(array $event, ?string $at = null, ?\Closure $forged = null): TestResponse
    {
        $body = json_encode($event, JSON_THROW_ON_ERROR);
        $headers = HttpSignature::headers(SchoolAddress::root().'/api/v1/events', $body, "outside-{$this->system->id}", $this->system->secret, $at === null ? Carbon::now()->getTimestamp() : (int) strtotime($at));

        return $this->send('POST', '/events', $body, null, ['Content-Type' => 'application/cloudevents+json', ...($forged === null ? $headers : $forged($headers))]);
    }
}
