<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Client;
use GuzzleHttp\Promise\Utils;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Psr\Http\Message\ResponseInterface;
use Tests\SchoolServer;

/** A system of others that asks the same ten times at the same moment, on a real server: it is done once, and nobody meets an error. */
#[Group('long')]
final class AskedTenAtOnceTest extends TestCase
{
    private static SchoolServer $school;

    private static string $token;

    public static function setUpBeforeClass(): void
    {
        self::$school = new SchoolServer(workers: 4);
        self::$school->start();
        $made = self::$school->command('keep:token', 'A test', '--may=change-people', '--may=record-progress', '--may=edit-drafts', '--may=read-courses');
        $made->mustRun();
        self::$token = trim($made->getOutput());
    }

    public static function tearDownAfterClass(): void
    {
        self::$school->stop();
    }

    public function test_an_act_with_a_key_is_done_once(): void
    {
        $passes = (int) self::$school->value('select count(*) from passes');
        $statuses = self::ten('POST', '/people/acts', ['do' => 'give', 'people' => [3, 4], 'offer' => 'taster'], ['Idempotency-Key' => 'a']);

        self::assertSame($passes + 2, (int) self::$school->value('select count(*) from passes'));
        self::assertSame([], array_diff($statuses, [201, 409]), 'Done, done already, or being done.');
        self::assertContains(201, $statuses);
        self::assertSame([201], self::ten('POST', '/people/acts', ['do' => 'give', 'people' => [3, 4], 'offer' => 'taster'], ['Idempotency-Key' => 'a']));
    }

    public function test_somebody_is_brought_in_once(): void
    {
        $statuses = self::ten('POST', '/people', ['name' => 'Alva', 'email' => 'alva@elsewhere.test']);

        self::assertSame(1, (int) self::$school->value("select count(*) from people where email = 'alva@elsewhere.test'"));
        self::assertEqualsCanonicalizing([201, 422], $statuses);
    }

    public function test_a_statement_is_taken_once(): void
    {
        $address = self::$school->address();
        $statement = ['id' => '0b8e1f5c-2f60-4f1f-9a53-6e7a3f0f8a11', 'actor' => ['account' => ['homePage' => $address, 'name' => '4']], 'verb' => ['id' => 'http://adlnet.gov/expapi/verbs/completed'], 'object' => ['id' => "{$address}/courses/clinker/l-bonus"]];

        self::assertSame([200], self::ten('POST', '/xapi/statements', $statement, ['X-Experience-API-Version' => '1.0.3']));
        self::assertSame(1, (int) self::$school->value('select count(*) from statements'));
        self::assertSame(1, (int) self::$school->value("select count(*) from activities where action = 'item.finished' and after like '%l-bonus%'"));
    }

    public function test_of_ten_drafts_one_stands(): void
    {
        $plan = json_decode((string) self::client()->get('/api/v1/courses/oars/plan')->getBody(), true);
        $statuses = self::ten('PUT', '/courses/oars/draft', static function (int $one) use ($plan): array {
            $plan['courses'][0]['title'] = "Oars {$one}";

            return $plan;
        }, ['If-Match' => '"0"']);

        self::assertEqualsCanonicalizing([200, 412], $statuses);
        self::assertSame(1, (int) self::$school->value("select count(*) from draft_edits e join drafts d on d.id = e.draft_id join courses c on c.id = d.course_id where c.key = 'oars'"));
    }

    /**
     * @param  array<string, mixed>|\Closure(int): array<string, mixed>  $body
     * @param  array<string, string>  $headers
     * @return list<int> their statuses, each once
     */
    private static function ten(string $method, string $path, array|\Closure $body, array $headers = []): array
    {
        $client = self::client();
        $asked = array_map(static fn (int $one) => $client->requestAsync($method, "/api/v1{$path}", ['json' => is_array($body) ? $body : $body($one), 'headers' => $headers]), range(1, 10));

        return array_values(array_unique(array_map(static fn (ResponseInterface $answer): int => $answer->getStatusCode(), Utils::unwrap($asked))));
    }

    private static function client(): Client
    {
        return new Client(['base_uri' => self::$school->address(), 'http_errors' => false, 'headers' => ['Authorization' => 'Bearer '.self::$token, 'Accept' => 'application/json']]);
    }
}
