<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Models\Activity;
use App\Models\Completion;
use App\Models\ProgressStatement;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Progress by xAPI, answered as the standard says. */
final class StatementsTest extends TestCase
{
    use AsksTheInterface;

    private const SPEAKS = ['X-Experience-API-Version' => '1.0.3'];

    private const ID = '0b8e1f5c-2f60-4f1f-9a53-6e7a3f0f8a11';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Completion::query()->where('person_id', 4)->delete();
    }

    public function test_what_is_completed_counts_and_opens_what_waited_for_it(): void
    {
        $state = fn (): string => $this->body($this->ask('GET', '/decisions?course=clinker&person=6&item=m-planks'))['items'][0]['why'][0] ?? 'open';
        Completion::query()->where('person_id', 6)->delete();
        self::assertSame('progress', $state());
        foreach (['l-planes', 'l-timber', 'l-welcome', 'l-advanced', 'l-steam', 'p-iron'] as $item) {
            $this->ask('POST', '/xapi/statements', self::statement($item, ['actor' => ['mbox' => 'mailto:Ragna@alder.test']]), headers: self::SPEAKS)->assertOk();
        }

        self::assertSame('open', $state());
    }

    public function test_it_is_answered_with_its_id_and_read_again(): void
    {
        $ids = $this->body($this->ask('POST', '/xapi/statements', [self::statement('l-planes', ['id' => self::ID, 'context' => ['platform' => 'Elsewhere']]), self::statement('l-timber')], headers: self::SPEAKS)->assertOk());
        self::assertSame(self::ID, $ids[0]);
        self::assertCount(2, $ids);

        $read = $this->ask('GET', '/xapi/statements?statementId='.strtoupper(self::ID), headers: self::SPEAKS)->assertOk();
        self::assertSame('1.0.3', $read->headers->get('X-Experience-API-Version'));
        self::assertSame('Elsewhere', $this->body($read)['context']['platform']);
        self::assertSame('2026-03-10T12:00:00Z', $this->body($read)['stored']);
        $this->ask('GET', '/xapi/statements?statementId=0b8e1f5c-2f60-4f1f-9a53-6e7a3f0f8a19', headers: self::SPEAKS)->assertStatus(404);
    }

    public function test_the_same_again_is_taken_and_another_with_its_id_is_refused(): void
    {
        $one = self::statement('l-planes', ['id' => self::ID]);
        $this->ask('POST', '/xapi/statements', $one, headers: self::SPEAKS)->assertOk();
        $this->ask('POST', '/xapi/statements', array_reverse($one, true), headers: self::SPEAKS)->assertOk();
        $this->ask('PUT', '/xapi/statements?statementId='.self::ID, $one, headers: self::SPEAKS)->assertStatus(204);
        $this->ask('POST', '/xapi/statements', self::statement('l-timber', ['id' => self::ID]), headers: self::SPEAKS)->assertStatus(409);
        $this->ask('PUT', '/xapi/statements?statementId='.self::ID, self::statement('l-timber'), headers: self::SPEAKS)->assertStatus(409);

        self::assertSame(1, ProgressStatement::query()->count());
        self::assertSame(['l-planes'], Completion::query()->where('person_id', 4)->pluck('item_key')->all());
        self::assertSame(1, Activity::query()->where('action', 'item.finished')->where('person_id', 4)->where('actor_id', $this->person('hege')->id)->count());
    }

    public function test_in_whatever_order_it_counts_from_the_earliest(): void
    {
        $at = static fn (string $at): array => self::statement('l-planes', ['timestamp' => $at]);
        foreach ([['2026-03-10T10:00:00Z', '2026-03-09T10:00:00Z', '2026-03-10T11:00:00Z'], ['2026-03-09T10:00:00Z', '2026-03-10T11:00:00Z', '2026-03-10T10:00:00Z']] as $order) {
            Completion::query()->where('person_id', 4)->delete();
            foreach ($order as $one) {
                $this->ask('POST', '/xapi/statements', $at($one), headers: self::SPEAKS)->assertOk();
            }
            self::assertSame('2026-03-09T10:00:00+00:00', Completion::query()->where('person_id', 4)->firstOrFail()->completed_at->format(DATE_ATOM));
        }
    }

    public function test_all_of_a_list_is_taken_or_none(): void
    {
        $refused = $this->body($this->ask('POST', '/xapi/statements', [self::statement('l-planes'), self::statement('nothing')], headers: self::SPEAKS)->assertStatus(400));

        self::assertSame('/1/object/id', $refused['errors'][0]['pointer']);
        self::assertSame(0, ProgressStatement::query()->count());
        self::assertSame(0, Completion::query()->where('person_id', 4)->count());
    }

    public function test_a_long_list_asks_as_often_as_a_short_one(): void
    {
        $asked = function (int $count): int {
            $accounts = array_map(static fn (int $id): array => ['actor' => ['account' => ['homePage' => SchoolAddress::root(), 'name' => (string) $id]]], range(3, $count + 2));
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->ask('POST', '/xapi/statements', array_map(static fn (array $who): array => self::statement('l-launch', $who), $accounts), headers: self::SPEAKS)->assertOk();

            return count(DB::getQueryLog());
        };
        $asked(1);
        Completion::query()->delete();
        $one = $asked(1);
        Completion::query()->delete();

        self::assertSame($one, $asked(30));
        self::assertSame(30, Completion::query()->where('item_key', 'l-launch')->count());
    }

    /** @return iterable<string, array{array<string, mixed>, bool}> */
    public static function verbs(): iterable
    {
        yield 'passed' => [['verb' => ['id' => 'http://adlnet.gov/expapi/verbs/passed']], true];
        yield 'not completed' => [['result' => ['completion' => false]], false];
        yield 'not successful' => [['verb' => ['id' => 'http://adlnet.gov/expapi/verbs/passed'], 'result' => ['success' => false]], false];
        yield 'failed' => [['verb' => ['id' => 'http://adlnet.gov/expapi/verbs/failed']], false];
        yield 'looked at' => [['verb' => ['id' => 'http://adlnet.gov/expapi/verbs/experienced']], false];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('verbs')]
    public function test_it_counts_as_finished(array $more, bool $finished): void
    {
        $this->ask('POST', '/xapi/statements', self::statement('l-planes', $more), headers: self::SPEAKS)->assertOk();

        self::assertSame($finished, Completion::query()->where('person_id', 4)->exists());
        self::assertSame(1, ProgressStatement::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'nobody' => [['actor' => ['mbox' => 'mailto:nobody@alder.test']], '/actor'];
        yield 'staff' => [['actor' => ['mbox' => 'mailto:hege@alder.test']], '/actor'];
        yield 'no agent' => [['actor' => 'Eira'], '/actor'];
        yield 'an account elsewhere' => [['actor' => ['account' => ['homePage' => 'https://elsewhere.example', 'name' => '4']]], '/actor'];
        yield 'no verb' => [['verb' => ['id' => 'completed']], '/verb/id'];
        yield 'the future' => [['timestamp' => '2026-03-11T12:00:00Z'], '/timestamp'];
        yield 'no instant' => [['timestamp' => 'yesterday'], '/timestamp'];
        yield 'no UUID' => [['id' => '7'], '/id'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('wrong')]
    public function test_what_is_no_statement_about_anybody_here_is_refused(array $more, string $pointer): void
    {
        $refused = $this->body($this->ask('POST', '/xapi/statements', self::statement('l-planes', $more), headers: self::SPEAKS)->assertStatus(400));

        self::assertSame($pointer, $refused['errors'][0]['pointer']);
        self::assertSame(0, ProgressStatement::query()->count());
    }

    public function test_the_version_has_to_be_said(): void
    {
        foreach ([[], ['X-Experience-API-Version' => '2.0.0'], ['X-Experience-API-Version' => '0.95']] as $headers) {
            $refused = $this->ask('POST', '/xapi/statements', self::statement('l-planes'), headers: $headers)->assertStatus(400);
            self::assertSame('1.0.3', $refused->headers->get('X-Experience-API-Version'));
        }
        $this->ask('POST', '/xapi/statements', self::statement('l-planes'), headers: ['X-Experience-API-Version' => '1.0'])->assertOk();
        self::assertSame(['1.0.3'], $this->body($this->send('GET', '/xapi/about', '', null)->assertOk())['version']);
    }

    public function test_a_statement_has_the_id_of_its_address(): void
    {
        $this->ask('PUT', '/xapi/statements?statementId='.self::ID, self::statement('l-planes', ['id' => '0b8e1f5c-2f60-4f1f-9a53-6e7a3f0f8a19']), headers: self::SPEAKS)->assertStatus(400);
        $this->ask('PUT', '/xapi/statements', self::statement('l-planes'), headers: self::SPEAKS)->assertStatus(422);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function statement(string $item, array $more = []): array
    {
        return [...['actor' => ['objectType' => 'Agent', 'account' => ['homePage' => SchoolAddress::root(), 'name' => '4']], 'verb' => ['id' => 'http://adlnet.gov/expapi/verbs/completed'], 'object' => ['id' => SchoolAddress::root()."/courses/clinker/{$item}"]], ...$more];
    }
}
