<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\ActRecord;
use App\Models\KeptAnswer;
use App\Models\Pass;
use App\Models\Person;
use App\School\Tokens\Ability;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** What is asked twice with one key is done once. */
final class OnceTest extends TestCase
{
    use AsksTheInterface;

    private const GIVE = ['do' => 'give', 'people' => [10], 'offer' => 'taster'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_it_is_done_once_and_answered_twice(): void
    {
        $before = Pass::query()->count();
        $first = $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();
        $second = $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();

        self::assertSame((string) $first->getContent(), (string) $second->getContent());
        self::assertNull($first->headers->get('Idempotency-Replayed'));
        self::assertSame('true', $second->headers->get('Idempotency-Replayed'));
        self::assertSame('application/json', $second->headers->get('Content-Type'));
        self::assertSame($before + 1, Pass::query()->count());
    }

    public function test_another_key_is_another_act_and_so_is_that_of_another_token(): void
    {
        $act = static fn (string $label): array => ['do' => 'label', 'people' => [3], 'label' => $label];
        $this->ask('POST', '/people/acts', $act('one'), headers: ['Idempotency-Key' => 'a'])->assertCreated();
        $this->ask('POST', '/people/acts', $act('two'), headers: ['Idempotency-Key' => 'b'])->assertCreated();
        $this->ask('POST', '/people/acts', $act('three'), $this->token(Ability::cases()), ['Idempotency-Key' => 'a'])->assertCreated();

        self::assertSame(3, ActRecord::query()->count());
    }

    public function test_a_key_is_for_one_thing(): void
    {
        $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();

        $refused = $this->ask('POST', '/people/acts', [...self::GIVE, 'people' => [11]], headers: ['Idempotency-Key' => 'a'])->assertStatus(422);
        self::assertStringEndsWith('#key-used', $this->body($refused)['type']);
        $this->ask('POST', '/people', ['name' => 'A', 'email' => 'a@alder.test'], headers: ['Idempotency-Key' => 'a'])->assertStatus(422);
    }

    public function test_what_was_refused_may_be_asked_again(): void
    {
        $this->ask('POST', '/people/acts', [...self::GIVE, 'offer' => 'nothing'], headers: ['Idempotency-Key' => 'a'])->assertStatus(422);

        $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();
    }

    public function test_while_it_is_being_done_the_second_waits(): void
    {
        $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();
        KeptAnswer::query()->update(['status' => null]);

        $refused = $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertStatus(409);
        self::assertStringEndsWith('#under-way', $this->body($refused)['type']);
        self::assertSame('2', $refused->headers->get('Retry-After'));
    }

    public function test_what_was_done_and_never_answered_is_not_done_again(): void
    {
        $first = $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();
        $passes = Pass::query()->count();
        // The process was killed after the act was done.
        KeptAnswer::query()->update(['status' => null, 'headers' => null, 'body' => null]);
        Carbon::setTestNow('2026-03-10T12:01:01Z');
        $again = $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => 'a'])->assertCreated();

        self::assertSame($this->body($first)['id'], $this->body($again)['id']);
        self::assertSame($passes, Pass::query()->count());
    }

    public function test_a_key_that_is_none_is_refused(): void
    {
        foreach (['', str_repeat('a', 101), 'with a space'] as $key) {
            $this->ask('POST', '/people/acts', self::GIVE, headers: ['Idempotency-Key' => $key])->assertStatus(400);
        }
        self::assertSame(0, ActRecord::query()->count());
    }

    public function test_without_a_key_it_is_done_as_often_as_it_is_asked(): void
    {
        $this->ask('POST', '/people', ['name' => 'A', 'email' => 'a@alder.test'])->assertCreated();
        $refused = $this->ask('POST', '/people', ['name' => 'A', 'email' => 'A@alder.test'])->assertStatus(422);

        self::assertSame('/email', $this->body($refused)['errors'][0]['pointer']);
        self::assertSame(1, Person::query()->where('email', 'a@alder.test')->count());
    }
}
