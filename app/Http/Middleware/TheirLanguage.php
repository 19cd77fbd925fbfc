<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\SchoolOf;
use App\Http\Side;
use App\Models\Language;
use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Symfony\Component\HttpFoundation\Response;

/** The learner's side speaks the language that its reader has chosen, or else that of the school; those who run it read English. */
final readonly class TheirLanguage
{
    /** Of whoever is not signed in, or has not chosen for their account. */
    public const COOKIE = 'language';

    public function __construct(private SchoolOf $school)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        App::setLocale($this->of($request)->value);
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    private function of(Request $request): Language
    {
        if (Side::of($request) === Side::Keep) {
            return Language::English;
        }
        $person = $request->user();
        $cookie = $request->cookie(self::COOKIE);
        $chosen = $person instanceof Person ? $person->language : null;

        return $chosen ?? Language::tryFrom(is_string($cookie) ? $cookie : '') ?? $this->school->begun()->language ?? Language::English;
    }
}
