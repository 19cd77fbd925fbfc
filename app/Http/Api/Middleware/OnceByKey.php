<?php

declare(strict_types=1);

namespace App\Http\Api\Middleware;

use App\Access\SchoolClock;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Models\KeptAnswer;
use App\Words\Say;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * What is asked twice with the same `Idempotency-Key` is done once, and answered twice. What was refused was not done, and may be
 * asked again with the same key.
 */
final readonly class OnceByKey
{
    public const HEADER = 'Idempotency-Key';

    /** Says of an answer that it was given before. */
    public const REPLAYED = 'Idempotency-Replayed';

    /** Seconds after which what was begun and not answered counts as broken off. */
    private const UNDER_WAY = 60;

    /** Of an answer, what is kept with it. */
    private const HEADERS = ['Content-Type', 'Location'];

    public function __construct(private SchoolClock $clock)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->headers->get(self::HEADER);
        if ($key === null) {
            return self::answered($next($request));
        }
        if (preg_match('/^[\x21-\x7e]{1,100}$/D', $key) !== 1) {
            throw new Problem(ProblemKind::BadRequest, Say::text('interface.problems_told.key'));
        }
        $token = NeedsAbility::token($request)?->id;
        $asked = self::digest($request);
        $kept = $this->begin((int) $token, $key, $asked);
        if ($kept->status !== null) {
            return new \Illuminate\Http\Response((string) $kept->body, $kept->status, [...$kept->headers ?? [], self::REPLAYED => 'true']);
        }
        $response = self::answered($next($request));
        if ($response->isSuccessful()) {
            $headers = array_filter(array_combine(self::HEADERS, array_map(static fn (string $name): ?string => $response->headers->get($name), self::HEADERS)), is_string(...));
            KeptAnswer::query()->whereKey($kept->id)->update(['status' => $response->getStatusCode(), 'headers' => json_encode($headers, JSON_THROW_ON_ERROR), 'body' => (string) $response->getContent()]);
        } else {
            KeptAnswer::query()->whereKey($kept->id)->delete();
        }

        return $response;
    }

    /** Of what is asked. A file that is sent is never as a whole in memory. */
    private static function digest(Request $request): string
    {
        $hash = hash_init('sha256');
        hash_update($hash, "{$request->method()} {$request->getRequestUri()}\n");
        hash_update_stream($hash, $request->getContent(asResource: true));

        return hash_final($hash);
    }

    /** By which an act is known again, though its answer was never kept; null where no key came. */
    public static function once(Request $request): ?string
    {
        $key = $request->headers->get(self::HEADER);

        return $key === null ? null : hash('sha256', 'api '.NeedsAbility::token($request)?->id." {$key}");
    }

    /** @throws Problem */
    private function begin(int $token, string $key, string $asked): KeptAnswer
    {
        $now = $this->clock->now();

        return DB::transaction(static function () use ($token, $key, $asked, $now): KeptAnswer {
            $kept = KeptAnswer::query()->where('token_id', $token)->where('key', $key)->first();
            if ($kept === null) {
                return KeptAnswer::query()->create(['token_id' => $token, 'key' => $key, 'asked' => $asked, 'made_at' => $now]);
            }
            if (! hash_equals($kept->asked, $asked)) {
                throw new Problem(ProblemKind::KeyUsed);
            }
            if ($kept->status === null) {
                if ($kept->made_at->getTimestamp() > $now - self::UNDER_WAY) {
                    throw new Problem(ProblemKind::UnderWay, headers: ['Retry-After' => '2']);
                }
                $kept->update(['made_at' => $now]);
            }

            return $kept;
        });
    }

    private static function answered(mixed $response): Response
    {
        assert($response instanceof Response);

        return $response;
    }
}
