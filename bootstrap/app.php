<?php

declare(strict_types=1);

use App\Http\Api\Middleware\NeedsAbility;
use App\Http\Api\Middleware\NoteTokenUse;
use App\Http\Api\Problems\ProblemAnswers;
use App\Http\Middleware\CompressAnswers;
use App\Http\Middleware\EndedSessions;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\KeepSession;
use App\Http\Middleware\LimitBodies;
use App\Http\Middleware\NotBegun;
use App\Http\Middleware\NoteSeen;
use App\Http\Middleware\OwnOrigin;
use App\Http\Middleware\ReadableText;
use App\Http\Middleware\SaysWhoWrites;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\TheirLanguage;
use App\Http\Middleware\TheirZone;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        apiPrefix: 'api/v1',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend([CompressAnswers::class, SecurityHeaders::class, OwnOrigin::class, LimitBodies::class]);
        $middleware->web(append: [NotBegun::class, EndedSessions::class, ReadableText::class, SaysWhoWrites::class, NoteSeen::class, TheirLanguage::class, TheirZone::class, HandleInertiaRequests::class], replace: [StartSession::class => KeepSession::class]);
        $middleware->api(append: [NotBegun::class, SaysWhoWrites::class, NoteTokenUse::class]);
        $middleware->encryptCookies(except: [TheirZone::COOKIE]);
        $middleware->alias([NeedsAbility::NAME => NeedsAbility::class]);
        // Whoever may not learns nothing of what is there.
        $middleware->prependToPriorityList(SubstituteBindings::class, NeedsAbility::class);
        $middleware->appendToPriorityList(NeedsAbility::class, NoteTokenUse::class);
        $middleware->appendToPriorityList(NeedsAbility::class, SaysWhoWrites::class);
        // Mail programs stop letters by themselves: the address is signed.
        $middleware->validateCsrfTokens(except: ['letters/*']);
        $middleware->trustHosts(at: static fn (): array => App\Http\TrustedHosts::patterns(), subdomains: false);
        // A session that is over is over before anybody asks who is signed in.
        $middleware->prependToPriorityList(AuthenticatesRequests::class, EndedSessions::class);
        $middleware->prependToPriorityList(EndedSessions::class, NotBegun::class);
        $middleware->redirectGuestsTo(fn (Request $request): string => route('sign-in'));
        $middleware->redirectUsersTo('/');
        $middleware->trimStrings(except: ['password']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(ProblemAnswers::render(...));
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        $exceptions->respond(App\Http\ErrorPages::respond(...));
    })
    ->create();
