<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\Activity;
use App\Models\ApiToken;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Tokens made, shown once, and taken back. */
final class TokensPageTest extends TestCase
{
    private const FORM = ['name' => 'The library', 'abilities' => ['read-people', 'decide'], 'until' => '2026-04-30'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_it_is_made_and_shown_once(): void
    {
        $made = $this->post('/keep/triggers/tokens', self::FORM)->assertSessionHasNoErrors();
        $token = ApiToken::query()->sole();
        $made->assertRedirect("/keep/triggers/tokens?open={$token->id}");
        $shown = $this->get("/keep/triggers/tokens?open={$token->id}");
        $secret = $shown->inertiaProps('secret');

        self::assertIsString($secret);
        self::assertSame($token->token, hash('sha256', explode('|', $secret)[1]));
        self::assertSame(['decide', 'read-people'], $token->abilities);
        // To the end of its last day in Oslo, where summer time has begun by then.
        self::assertSame('2026-04-30T22:00:00+00:00', $token->expires_at?->format(DATE_ATOM));
        self::assertSame('Thu 30 Apr', $shown->inertiaProps('tokens.0.until'));
        self::assertNull($this->get("/keep/triggers/tokens?open={$token->id}")->inertiaProps('secret'));
        self::assertSame(['token.made', 'The library'], [Activity::query()->latest('id')->firstOrFail()->action, Activity::query()->latest('id')->firstOrFail()->after['name'] ?? null]);
        self::assertStringNotContainsString(explode('|', $secret)[1], (string) json_encode(DB::table('activities')->get()));
    }

    public function test_it_need_not_end(): void
    {
        $this->post('/keep/triggers/tokens', [...self::FORM, 'until' => ''])->assertSessionHasNoErrors();

        self::assertNull(ApiToken::query()->sole()->expires_at);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'nothing that it may' => [['abilities' => []], 'abilities'];
        yield 'something that there is not' => [['abilities' => ['all']], 'abilities.0'];
        yield 'everything' => [['abilities' => ['*']], 'abilities.0'];
        yield 'a day that is over' => [['until' => '2026-03-09'], 'until'];
        yield 'no day' => [['until' => '30.4.'], 'until'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_at_its_field(array $more, string $field): void
    {
        $this->post('/keep/triggers/tokens', [...self::FORM, ...$more])->assertSessionHasErrors($field);

        self::assertSame(0, ApiToken::query()->count());
    }

    public function test_it_may_end_today(): void
    {
        $this->post('/keep/triggers/tokens', [...self::FORM, 'until' => '2026-03-10'])->assertSessionHasNoErrors();

        self::assertFalse($this->get('/keep/triggers/tokens')->inertiaProps('tokens.0.over'));
        Carbon::setTestNow('2026-03-10T23:00:00Z');
        self::assertTrue($this->get('/keep/triggers/tokens')->inertiaProps('tokens.0.over'));
    }

    public function test_it_is_taken_back_by_anybody_who_runs_the_school(): void
    {
        $this->post('/keep/triggers/tokens', self::FORM);
        $token = ApiToken::query()->sole();
        $this->delete("/keep/triggers/tokens/{$token->id}")->assertRedirect('/keep/triggers/tokens');
        $this->delete("/keep/triggers/tokens/{$token->id}")->assertNotFound();

        self::assertSame(0, ApiToken::query()->count());
        self::assertSame('token.taken_back', Activity::query()->latest('id')->firstOrFail()->action);
    }

    public function test_the_list_asks_as_often_however_long_it_is(): void
    {
        $asked = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/triggers/tokens')->assertOk();

            return count(DB::getQueryLog());
        };
        $this->post('/keep/triggers/tokens', self::FORM);
        $asked();
        $one = $asked();
        foreach (range(1, 20) as $number) {
            ApiToken::query()->forceCreate(['tokenable_type' => 'App\Models\Person', 'tokenable_id' => $number, 'name' => "Token {$number}", 'token' => hash('sha256', (string) $number), 'abilities' => ['decide']]);
        }

        self::assertSame($one, $asked());
    }

    public function test_the_reference_and_its_files_are_for_everybody(): void
    {
        auth()->logout();
        $this->get('/interface')->assertOk();
        self::assertStringContainsString('final class SilentKeep', (string) $this->get('/interface/client.php')->assertOk()->getContent());
        self::assertStringContainsString('export class SilentKeep', (string) $this->get('/interface/client.ts')->assertOk()->getContent());
        $this->get('/interface/plan.schema.json')->assertOk()->assertJsonPath('$id', 'urn:silent-keep:plan:1');
        $this->get('/interface/client.exe')->assertNotFound();
        self::assertStringStartsWith('text/plain', (string) $this->get('/interface/client.php')->headers->get('Content-Type'));
    }
}
