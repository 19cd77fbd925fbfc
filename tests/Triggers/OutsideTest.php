<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\TriggerRun;
use App\Triggers\Outside\DeliverEvent;
use App\Triggers\Outside\HttpSignature;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\When;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What systems of others are told: signed, once, and again where they do not answer. */
final class OutsideTest extends TestCase
{
    use SetsTriggersOff;

    private const ADDRESS = 'https://ledger.test/hooks?from=shed';

    /** @return array{OutsideSystem, string} */
    private function system(): array
    {
        $this->post('/keep/triggers/outside', ['name' => 'The ledger', 'address' => self::ADDRESS, 'on' => true])->assertSessionHasNoErrors();
        $secret = session('secret');
        self::assertIsString($secret);

        return [OutsideSystem::query()->sole(), $secret];
    }

    /** A label that sets off that the ledger is told. */
    private function tell(): OutsideSystem
    {
        [$system] = $this->system();
        $this->on(new When('label-given', label: 'go'), new Only, new Step('give-label', label: 'set-off'), new Step('tell', outside: $system->id));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['gro'], ['label' => 'go']);

        return $system;
    }

    public function test_it_is_told_a_cloud_event_that_it_can_check_to_be_ours(): void
    {
        Http::fake(['ledger.test/*' => Http::response('thanks', 202)]);
        [$system, $secret] = $this->system();
        $this->on(new When('label-given', label: 'go'), new Only, new Step('tell', outside: $system->id));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['gro'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        Http::assertSentCount(1);
        Http::assertSent(function (Request $request) use ($secret): bool {
            $told = json_decode($request->body(), true);
            self::assertIsArray($told);
            self::assertSame(['1.0', 'silentkeep.label-given', '2026-03-10T13:00:00+00:00'], [$told['specversion'], $told['type'], $told['time']]);
            self::assertSame(['trigger' => 'T0', 'cause' => 'got the label go', 'person' => ['id' => $this->person('gro')->id, 'name' => 'Gro Tangen', 'email' => 'gro@alder.test']], $told['data']);
            $headers = array_map(static fn (array $values): string => is_string($values[0]) ? $values[0] : '', $request->headers());

            return $request->method() === 'POST' && str_starts_with($headers['Content-Type'], 'application/cloudevents+json')
                && HttpSignature::holds(self::ADDRESS, $request->body(), $headers, $secret, now()->getTimestamp());
        });
        $event = OutsideEvent::query()->sole();
        self::assertSame(['taken', 202, 'thanks', 1], [$event->state, $event->status, $event->answer, $event->tries]);
        self::assertSame('Tell The ledger', TriggerRun::query()->sole()->did[0]['told']);
    }

    /** @return array<string, array{\Closure(array<string, string>): array<string, string>, string, string, int}> changed headers, body, address, seconds later */
    public static function wrongOnes(): array
    {
        $same = static fn (array $headers): array => $headers;

        return [
            'another body' => [$same, '{"a":2}', self::ADDRESS, 0],
            'another address' => [$same, '{"a":1}', 'https://ledger.test/other', 0],
            'another time' => [static fn (array $headers): array => [...$headers, 'Signature-Input' => str_replace('created=1', 'created=2', $headers['Signature-Input'])], '{"a":1}', self::ADDRESS, 0],
            'a stale one' => [$same, '{"a":1}', self::ADDRESS, 301],
            'one from a time to come' => [$same, '{"a":1}', self::ADDRESS, -301],
            'no signature' => [static fn (array $headers): array => [...$headers, 'Signature' => ''], '{"a":1}', self::ADDRESS, 0],
            'no headers' => [static fn (): array => [], '{"a":1}', self::ADDRESS, 0],
            'less is signed' => [static fn (array $headers): array => [...$headers, 'Signature-Input' => str_replace(' "content-digest"', '', $headers['Signature-Input'])], '{"a":1}', self::ADDRESS, 0],
        ];
    }

    /** @param  \Closure(array<string, string>): array<string, string>  $change */
    #[DataProvider('wrongOnes')]
    public function test_a_signature_that_is_wrong_or_stale_does_not_hold(\Closure $change, string $body, string $address, int $later): void
    {
        $headers = HttpSignature::headers(self::ADDRESS, '{"a":1}', 'k', 'secret', 1_773_000_000);
        self::assertTrue(HttpSignature::holds(self::ADDRESS, '{"a":1}', $headers, 'secret', 1_773_000_000 + 300));
        self::assertFalse(HttpSignature::holds(self::ADDRESS, '{"a":1}', $headers, 'other', 1_773_000_000));
        self::assertFalse(HttpSignature::holds($address, $body, $change($headers), 'secret', 1_773_000_000 + $later));
    }

    /** The same reckoned by hand from RFC 9421: what is signed is that base and nothing else. */
    public function test_the_signature_is_that_of_the_standard(): void
    {
        $headers = HttpSignature::headers('https://a.test/', '{"hello": "world"}', 'k', 'secret', 1_700_000_000);
        // The digest of that body stands in RFC 9530, appendix B.
        self::assertSame('sha-256=:X48E9qOokqqrvdts8nOJRJN3OWDUoyWxBf7kbu9DBPE=:', $headers['Content-Digest']);
        $base = implode("\n", ['"@method": POST', '"@target-uri": https://a.test/', '"content-digest": sha-256=:X48E9qOokqqrvdts8nOJRJN3OWDUoyWxBf7kbu9DBPE=:', '"@signature-params": ("@method" "@target-uri" "content-digest");created=1700000000;keyid="k";alg="hmac-sha256"']);
        self::assertSame('sig=:'.base64_encode(hash_hmac('sha256', $base, 'secret', true)).':', $headers['Signature']);
    }

    public function test_where_it_does_not_take_it_it_is_told_again_with_growing_waits_and_by_hand_with_the_same_id(): void
    {
        $answers = Http::fakeSequence('ledger.test/*')->push('no', 500)->pushFailedConnection()->push('moved', 302, ['Location' => 'http://127.0.0.1/'])->push('', 404)->push('', 429)->push('', 503)->push('ok');
        $this->tell();
        $waits = [];
        $this->ran('2026-03-10T13:01:00Z');
        while (($event = OutsideEvent::query()->sole())->state === 'waiting') {
            $waits[] = ($event->due_at?->getTimestamp() ?? 0) - now()->getTimestamp();
            $this->ran(($event->due_at ?? now())->format(DATE_ATOM));
        }
        self::assertSame([60, 300, 1800, 7200, 21600], $waits);
        self::assertSame(['failed', 503, 6], [$event->state, $event->status, $event->tries]);
        self::assertSame('done', TriggerRun::query()->sole()->state, 'What is told is told by itself; the run is done.');
        $this->post("/keep/triggers/outside/events/{$event->id}/again")->assertSessionHasNoErrors();
        $this->ran(now()->modify('+1 minute')->format(DATE_ATOM));
        self::assertSame(['taken', 200, $event->event], [$event->refresh()->state, $event->status, $event->event]);
        self::assertCount(1, array_unique(Http::recorded()->map(static fn (array $pair): string => $pair[0]->body())->all()));
        self::assertTrue($answers->isEmpty());
    }

    public function test_no_answer_is_told_as_such(): void
    {
        Http::fake(static fn () => throw new ConnectionException('gone'));
        $this->tell();
        $this->ran('2026-03-10T13:01:00Z');
        $event = OutsideEvent::query()->sole();
        self::assertSame(['waiting', null, 'There was no answer.'], [$event->state, $event->status, $event->problem]);
        self::assertFalse(app(DeliverEvent::class)->again($event), 'It waits anyway.');
        self::assertSame(1, $event->refresh()->tries);
    }

    public function test_a_worker_stopped_before_it_is_noted_tells_it_once_and_two_at_once_as_well(): void
    {
        Http::fake(['ledger.test/*' => Http::response('')]);
        $this->tell();
        $this->ran('2026-03-10T13:01:00Z');
        $run = TriggerRun::query()->sole();
        TriggerRun::query()->whereKey($run->id)->update(['state' => 'waiting', 'due_at' => '2026-03-10 13:06:00', 'did' => json_encode([$run->did[0]])]);
        $this->ran('2026-03-10T13:10:00Z');
        self::assertSame(['done', 1], [$run->refresh()->state, OutsideEvent::query()->count()]);
        Http::assertSentCount(1);
        OutsideEvent::query()->update(['state' => 'waiting', 'due_at' => '2026-03-10 13:10:00']);
        $deliver = app(DeliverEvent::class);
        self::assertCount(1, $deliver->take(10));
        self::assertSame([], $deliver->take(10));
    }

    public function test_while_it_is_off_nothing_is_told_and_later_it_is(): void
    {
        Http::fake(['ledger.test/*' => Http::response('')]);
        $system = $this->tell();
        $this->put("/keep/triggers/outside/{$system->id}", ['name' => 'The ledger', 'address' => self::ADDRESS, 'on' => false, 'version' => 1])->assertSessionHasNoErrors();
        $this->ran('2026-03-10T13:01:00Z');
        Http::assertNothingSent();
        self::assertSame('The ledger is switched off.', TriggerRun::query()->sole()->problem);
        $this->put("/keep/triggers/outside/{$system->id}", ['name' => 'The ledger', 'address' => self::ADDRESS, 'on' => true, 'version' => 2])->assertSessionHasNoErrors();
        $this->ran('2026-03-10T13:02:00Z');
        Http::assertSentCount(1);
    }

    public function test_its_secret_is_kept_encrypted_shown_once_and_can_be_made_anew(): void
    {
        [$system, $secret] = $this->system();
        self::assertStringNotContainsString($secret, (string) json_encode(DB::table('outside_systems')->get()));
        self::assertStringContainsString($secret, (string) $this->get('/keep/triggers/outside')->getContent());
        self::assertStringNotContainsString($secret, (string) $this->get('/keep/triggers/outside')->getContent());
        $this->post("/keep/triggers/outside/{$system->id}/secret")->assertSessionHas('secret');
        self::assertNotSame($secret, $system->refresh()->secret);
        self::assertStringNotContainsString($secret, (string) json_encode(DB::table('activities')->get()));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no name' => [['name' => ' '], 'name'], 'no address' => [['address' => ''], 'address'], 'a file' => [['address' => 'file:///etc/passwd'], 'address'],
            'a script' => [['address' => 'javascript:alert(1)'], 'address'], 'with a password' => [['address' => 'https://a:b@ledger.test/'], 'address'], 'a very long one' => [['address' => 'https://a.test/'.str_repeat('x', 2000)], 'address'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_is_no_system_is_refused_at_its_field(array $with, string $field): void
    {
        $this->post('/keep/triggers/outside', ['name' => 'The ledger', 'address' => self::ADDRESS, 'on' => true, ...$with])->assertSessionHasErrors([$field]);
        self::assertSame(0, OutsideSystem::query()->count());
    }

    public function test_whoever_does_not_run_the_school_makes_none_and_reads_no_event(): void
    {
        Http::fake(['ledger.test/*' => Http::response('')]);
        $system = $this->tell();
        $this->ran('2026-03-10T13:01:00Z');
        $this->actingAs($this->person('aksel'));
        $this->post('/keep/triggers/outside', ['name' => 'B', 'address' => self::ADDRESS, 'on' => true])->assertForbidden();
        $this->post("/keep/triggers/outside/{$system->id}/secret")->assertForbidden();
        $this->post('/keep/triggers/outside/events/1/again')->assertForbidden();
        $this->get('/keep/triggers/outside')->assertForbidden();
    }
}
