<?php

declare(strict_types=1);

namespace App\Http\Api\Problems;

use App\Access\SchoolAddress;
use App\Database\Busy;
use App\Database\DiskFull;
use App\Drafts\DraftConflict;
use App\Http\Middleware\NotBegun;
use App\People\Acts\CannotAct;
use App\Words\Say;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Whatever goes wrong under `/api` is answered in one shape: `application/problem+json`. */
final class ProblemAnswers
{
    public static function render(Throwable $exception, Request $request): ?Response
    {
        if (! $request->is('api/*') || $exception instanceof HttpResponseException) {
            return null;
        }

        return self::answer(self::problem($exception));
    }

    public static function answer(Problem $problem): JsonResponse
    {
        $kind = $problem->kind;
        $told = ['type' => SchoolAddress::of('interface', []).'#'.$kind->value, 'title' => Say::text("interface.problems.{$kind->value}"), 'status' => $kind->status()];
        $told += array_filter(['detail' => $problem->detail, 'parameter' => $problem->parameter, 'errors' => $problem->errors], static fn (mixed $one): bool => $one !== '' && $one !== null && $one !== []);

        return new JsonResponse($told, $kind->status(), ['Content-Type' => 'application/problem+json', 'Cache-Control' => 'no-store', ...$problem->getHeaders()], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    private static function problem(Throwable $exception): Problem
    {
        return match (true) {
            $exception instanceof Problem => $exception,
            $exception instanceof AuthenticationException => new Problem(ProblemKind::NoToken, Say::text('interface.problems_told.token'), headers: ['WWW-Authenticate' => 'Bearer']),
            $exception instanceof AuthorizationException => new Problem(ProblemKind::NotAllowed),
            $exception instanceof ModelNotFoundException => new Problem(ProblemKind::NotFound),
            $exception instanceof ValidationException => self::invalid($exception),
            $exception instanceof CannotAct => Problem::at('/'.($exception->field ?? ''), $exception->getMessage()),
            $exception instanceof InvalidPlan => self::offences($exception, ''),
            $exception instanceof DraftConflict => new Problem($exception->isUnseen ? ProblemKind::Unseen : ProblemKind::Collision, $exception->getMessage()),
            DiskFull::was($exception) => new Problem(ProblemKind::Full),
            Busy::was($exception) => new Problem(ProblemKind::Busy, headers: ['Retry-After' => '5']),
            $exception instanceof HttpExceptionInterface && $exception->getMessage() === NotBegun::WHY => new Problem(ProblemKind::NotBegun),
            $exception instanceof HttpExceptionInterface => self::ofStatus($exception),
            default => new Problem(ProblemKind::Broken),
        };
    }

    /** @param  string  $at  pointer at which the document stands in what was sent */
    public static function offences(InvalidPlan $invalid, string $at): Problem
    {
        return new Problem(ProblemKind::Invalid, Say::text('interface.problems_told.plan'), array_map(static fn (Offence $offence): array => ['pointer' => $at.$offence->pointer, 'detail' => $offence->message], $invalid->offences));
    }

    private static function invalid(ValidationException $invalid): Problem
    {
        $errors = [];
        foreach ($invalid->errors() as $field => $messages) {
            foreach (is_array($messages) ? $messages : [$messages] as $message) {
                $errors[] = ['pointer' => '/'.str_replace('.', '/', (string) $field), 'detail' => is_string($message) ? $message : ''];
            }
        }

        return new Problem(ProblemKind::Invalid, Say::text('interface.problems_told.body'), $errors);
    }

    private static function ofStatus(HttpExceptionInterface $exception): Problem
    {
        $headers = [];
        foreach ($exception->getHeaders() as $name => $value) {
            if (is_scalar($value)) {
                $headers[(string) $name] = (string) $value;
            }
        }

        return new Problem(ProblemKind::ofStatus($exception->getStatusCode()), headers: $headers);
    }
}
