<?php

declare(strict_types=1);

namespace Tests;

/** What a school that is served keeps in Redis. */
final class RedisKeys
{
    private function __construct()
    {
    }

    public static function forgetSessions(string $prefix): void
    {
        self::forget($prefix, static fn (string $key): bool => self::isSession($key));
    }

    public static function forgetAllButSessions(string $prefix): void
    {
        self::forget($prefix, static fn (string $key): bool => ! self::isSession($key));
    }

    /** Forty letters and digits by chance; what counts how often somebody has asked is a hash. */
    private static function isSession(string $key): bool
    {
        return preg_match('/(?<![A-Za-z0-9])[A-Za-z0-9]{40}$/', $key) === 1 && preg_match('/[0-9a-f]{40}$/', $key) !== 1;
    }

    /** @param  \Closure(string): bool  $which */
    private static function forget(string $prefix, \Closure $which): void
    {
        if (! PgsqlSchools::areMeant()) {
            return;
        }
        $redis = new \Redis;
        $redis->connect((string) getenv('REDIS_HOST'), (int) getenv('REDIS_PORT'));
        foreach ((array) $redis->keys("{$prefix}*") as $key) {
            if ($which($key)) {
                $redis->del($key);
            }
        }
    }
}
