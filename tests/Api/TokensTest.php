<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Http\Api\Document\ApiDocument;
use App\Http\Api\Middleware\NeedsAbility;
use App\Models\ApiToken;
use App\Models\Role;
use App\School\Tokens\Ability;
use App\School\Tokens\MakeToken;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a token may, and that whoever may not learns nothing. */
final class TokensTest extends TestCase
{
    use AsksTheInterface;

    /** What is in the demo school, and what is not. */
    private const THERE = ['course' => 'clinker', 'person' => '3', 'act' => '1', 'event' => '1', 'import' => '1', 'file' => '1'];

    private const NOT_THERE = ['course' => 'nothing', 'person' => '99999', 'act' => '99999', 'event' => '99999', 'import' => '99999', 'file' => '99999'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_without_a_token_nothing_is_said(): void
    {
        foreach ($this->guarded() as $route) {
            $there = $this->send($route->methods()[0], self::path($route, self::THERE), '{}', null)->assertStatus(401);
            self::assertSame('Bearer', $there->headers->get('WWW-Authenticate'));
            self::assertSame((string) $there->getContent(), (string) $this->send($route->methods()[0], self::path($route, self::NOT_THERE), '{}', null)->assertStatus(401)->getContent());
        }
    }

    public function test_without_the_ability_nothing_is_said_either(): void
    {
        foreach ($this->guarded() as $route) {
            $needed = NeedsAbility::of($route);
            if ($needed === null) {
                continue;
            }
            $token = $this->token(array_values(array_filter(Ability::cases(), static fn (Ability $ability): bool => $ability !== $needed)));
            $there = $this->send($route->methods()[0], self::path($route, self::THERE), '{}', $token)->assertStatus(403);
            self::assertSame((string) $there->getContent(), (string) $this->send($route->methods()[0], self::path($route, self::NOT_THERE), 'nonsense', $token)->assertStatus(403)->getContent(), $route->uri());
            self::assertNotSame(403, $this->send($route->methods()[0], self::path($route, self::NOT_THERE), '{}', $this->token([$needed]))->getStatusCode(), $route->uri());
        }
    }

    /** @return iterable<string, array{\Closure(self): string}> */
    public static function worthless(): iterable
    {
        yield 'one that nobody made' => [static fn (self $test): string => '1|keep_'.str_repeat('a', 48)];
        yield 'one that has ended' => [static function (self $test): string {
            $token = $test->token([Ability::Decide], (int) strtotime('2026-03-10T12:00:00Z'));
            Carbon::setTestNow('2026-03-10T12:00:00Z');

            return $token;
        }];
        yield 'one that was taken back' => [static function (self $test): string {
            $token = $test->token([Ability::Decide]);
            app(MakeToken::class)->takeBack(ApiToken::query()->firstOrFail(), $test->person('hege'));

            return $token;
        }];
        yield 'a part of one' => [static fn (self $test): string => substr($test->token([Ability::Decide]), 0, -1)];
        yield 'another number before it' => [static fn (self $test): string => '999'.strstr($test->token([Ability::Decide]), '|')];
    }

    /** @param  \Closure(self): string  $made */
    #[DataProvider('worthless')]
    public function test_it_opens_nothing(\Closure $made): void
    {
        $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $made($this))->assertStatus(401);
        $this->send('GET', '/token', '', $this->token([Ability::Decide]))->assertOk();
    }

    public function test_it_holds_until_the_second_of_its_end(): void
    {
        $token = $this->token([Ability::Decide], (int) strtotime('2026-03-10T12:00:01Z'));

        $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $token)->assertOk();
        Carbon::setTestNow('2026-03-10T12:00:01Z');
        $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $token)->assertStatus(401);
    }

    public function test_it_is_worth_no_more_than_whoever_made_it(): void
    {
        $token = $this->token(Ability::cases());
        $this->send('GET', '/people', '', $token)->assertOk();
        foreach ([Role::Assistant, null] as $role) {
            $this->person('hege')->forceFill(['role' => $role])->save();
            foreach (['/people', '/courses', '/decisions?course=clinker&kind=visitor'] as $path) {
                $this->send('GET', $path, '', $token)->assertStatus(403);
            }
        }
    }

    public function test_a_school_that_was_not_begun_says_so(): void
    {
        $token = $this->token([Ability::Decide]);
        \Illuminate\Support\Facades\DB::table('schools')->update(['begin_code' => 'x']);

        $refused = $this->call('GET', '/api/v1/decisions?course=clinker&kind=visitor', server: ['HTTP_AUTHORIZATION' => "Bearer {$token}"]);
        self::assertSame([503, SchoolAddress::of('interface', []).'#not-begun'], [$refused->getStatusCode(), $refused->json('type')]);
    }

    public function test_what_is_not_there_is_a_problem_too(): void
    {
        $this->send('GET', '/nothing', '', null)->assertStatus(404);
        $this->send('DELETE', '/courses', '', null)->assertStatus(405);
    }

    public function test_a_session_is_no_token(): void
    {
        $this->actingAs($this->person('hege'));

        $this->get('/api/v1/courses')->assertStatus(401);
    }

    public function test_a_token_is_no_session(): void
    {
        $token = $this->token(Ability::cases());
        Auth::forgetGuards();

        $this->get('/keep/courses', ['Authorization' => "Bearer {$token}"])->assertRedirect('/sign-in');
    }

    public function test_its_use_is_noted_seldom(): void
    {
        $token = $this->token([Ability::Decide]);
        $used = static fn (): ?string => ApiToken::query()->firstOrFail()->last_used_at?->format(DATE_ATOM);
        self::assertNull($used());
        foreach (['12:00:00' => '12:00:00', '12:09:59' => '12:00:00', '12:10:01' => '12:10:01'] as $at => $noted) {
            Carbon::setTestNow("2026-03-10T{$at}Z");
            $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $token);
            self::assertSame("2026-03-10T{$noted}+00:00", $used());
        }
    }

    public function test_too_often_is_told(): void
    {
        $token = $this->token([Ability::Decide]);
        for ($asked = 0; $asked < 600; $asked++) {
            \Illuminate\Support\Facades\RateLimiter::hit(md5('apiapi '.ApiToken::query()->firstOrFail()->id));
        }
        $refused = $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $token)->assertStatus(429);

        self::assertGreaterThan(0, (int) $refused->headers->get('Retry-After'));
        $this->send('GET', '/decisions?course=clinker&kind=visitor', '', $this->token([Ability::Decide]))->assertOk();
    }

    /** @return list<Route> */
    private function guarded(): array
    {
        return array_values(array_filter(ApiDocument::routes(app(Router::class)), static fn (Route $route): bool => in_array('auth:sanctum', $route->gatherMiddleware(), true)));
    }

    /** @param  array<string, string>  $named */
    private static function path(Route $route, array $named): string
    {
        return (string) preg_replace_callback('/\{(\w+)\}/', static fn (array $found): string => $named[$found[1]], '/'.substr($route->uri(), strlen('api/v1/')));
    }
}
