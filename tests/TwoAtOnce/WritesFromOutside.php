<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Access\SchoolAddress;
use App\Models\CourseDocument;
use App\Models\Import;
use App\Models\OutsideSystem;
use App\Models\School;
use App\School\Tokens\Ability;
use App\School\Tokens\MakeToken;
use App\Triggers\Outside\HttpSignature;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What systems of others write, for {@see WriteBesideWriteTest}. */
trait WritesFromOutside
{
    /** @return array<string, array{Closure, Closure, Closure}> */
    private static function fromOutside(): array
    {
        $token = static fn (self $test): string => app(MakeToken::class)($test->person('hege'), 'A test', Ability::cases(), null)[1];
        $asks = static fn (string $method, string $path, array $body, array $headers = []): Closure => static fn (self $test, mixed $token) => $test->json($method, "/api/v1{$path}", $body, ['Authorization' => 'Bearer '.(is_string($token) ? $token : ''), ...$headers])->assertSuccessful();

        return [
            'make a token' => [static fn (): null => null, static fn (self $test): array => app(MakeToken::class)($test->person('hege'), 'Another', [Ability::Decide], null), static fn (): bool => DB::table('personal_access_tokens')->where('name', 'Another')->exists()],
            'act on people from outside, once' => [$token, $asks('POST', '/people/acts', ['do' => 'label', 'people' => [3], 'label' => 'from-outside'], ['Idempotency-Key' => 'a']), static fn (): bool => DB::table('labels')->where('label', 'from-outside')->exists()],
            'bring somebody in from outside' => [$token, $asks('POST', '/people', ['name' => 'Alva', 'email' => 'alva@elsewhere.test']), static fn (): bool => DB::table('people')->where('email', 'alva@elsewhere.test')->exists()],
            'put a plan into a draft' => [
                static fn (self $test): array => [$token($test), json_decode(str_replace('Clinker planking', 'Clinker, anew', CourseDocument::fromJson((string) $test->course()->liveRevision?->document)->planJson(School::query()->firstOrFail())))],
                static fn (self $test, mixed $prepared) => $asks('PUT', '/courses/clinker/draft', (array) ($prepared[1] ?? []), ['If-Match' => '"0"'])($test, $prepared[0] ?? null),
                static fn (self $test): bool => $test->course()->draft !== null,
            ],
            'take a statement' => [
                $token,
                static fn (self $test, mixed $token) => $asks('POST', '/xapi/statements', ['actor' => ['account' => ['homePage' => SchoolAddress::root(), 'name' => '3']], 'verb' => ['id' => 'http://adlnet.gov/expapi/verbs/completed'], 'object' => ['id' => SchoolAddress::root().'/courses/clinker/l-planes']], ['X-Experience-API-Version' => '1.0.3'])($test, $token),
                static fn (): bool => DB::table('completions')->where('person_id', 3)->where('item_key', 'l-planes')->exists(),
            ],
            'take an event' => [
                static fn (): OutsideSystem => OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/', 'on' => true, 'secret' => str_repeat('s', 43)]),
                static function (self $test): void {
                    $body = json_encode(['specversion' => '1.0', 'id' => 'a', 'source' => 'b', 'type' => 'c', 'data' => ['person' => ['id' => 3]]], JSON_THROW_ON_ERROR);
                    $headers = HttpSignature::headers(SchoolAddress::root().'/api/v1/events', $body, 'outside-1', str_repeat('s', 43), now()->getTimestamp());
                    $server = ['CONTENT_TYPE' => 'application/cloudevents+json'];
                    foreach ($headers as $name => $value) {
                        $server['HTTP_'.strtoupper(Str::of($name)->replace('-', '_')->toString())] = $value;
                    }
                    $test->call('POST', '/api/v1/events', server: $server, content: $body)->assertStatus(202);
                },
                static fn (): bool => DB::table('incoming_events')->exists(),
            ],
            'read a file of people from outside' => [
                $token,
                static fn (self $test, mixed $token) => $test->call('POST', '/api/v1/imports', server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_AUTHORIZATION' => 'Bearer '.(is_string($token) ? $token : '')], content: "name,e-mail\nAlva,alva@elsewhere.test\n")->assertStatus(202),
                static fn (): bool => Import::query()->where('state', 'ready')->exists(),
            ],
        ];
    }
}
