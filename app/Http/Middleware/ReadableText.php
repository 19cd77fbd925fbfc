<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Words\Say;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Whatever is sent as text is text: valid UTF-8, without NUL or other control characters but line breaks and tabs. What
 * is not could not be shown to anybody afterwards.
 */
final class ReadableText
{
    private const DEPTH = 24;

    public function handle(Request $request, Closure $next): Response
    {
        $faulty = [...self::faulty($request->query->all()), ...self::faulty($request->request->all()), ...($request->isJson() ? self::faulty($request->json()->all()) : []), ...self::faulty($request->allFiles())];
        if ($faulty !== []) {
            if ($request->isMethodSafe()) {
                // There is no form to say it at.
                abort(422);
            }
            throw ValidationException::withMessages(array_fill_keys($faulty, Say::text('refused.unreadable')));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<string> fields, as validation names them
     */
    private static function faulty(array $given, string $under = '', int $depth = 0): array
    {
        $faulty = [];
        foreach ($given as $key => $value) {
            $named = self::isReadable((string) $key);
            $field = $under.($named ? $key : '?');
            if (! $named || $depth > self::DEPTH || (is_string($value) && ! self::isReadable($value)) || ($value instanceof UploadedFile && ! self::isReadable($value->getClientOriginalName()))) {
                $faulty[] = $field;
            } elseif (is_array($value)) {
                array_push($faulty, ...self::faulty($value, "{$field}.", $depth + 1));
            }
        }

        return $faulty;
    }

    public static function isReadable(string $text): bool
    {
        return preg_match('/^[^\x00-\x08\x0B\x0C\x0E-\x1F\x7F]*$/Du', $text) === 1;
    }
}
