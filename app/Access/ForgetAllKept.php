<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Redis\Connections\PhpRedisConnection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Redis;

/** Whatever this school keeps goes, sessions in Redis too. A Redis may be one of several schools: what others keep there stays. */
final readonly class ForgetAllKept
{
    private const AT_ONCE = 1000;

    public function __invoke(): void
    {
        $store = config()->string('cache.default');
        $stores = config("cache.stores.{$store}.driver") === 'failover' ? config()->array("cache.stores.{$store}.stores") : [$store];
        foreach (array_filter($stores, is_string(...)) as $name) {
            $redis = config("cache.stores.{$name}.driver") === 'redis' ? Redis::connection(config()->string("cache.stores.{$name}.connection")) : null;
            if ($redis instanceof PhpRedisConnection) {
                self::forgetIn($redis);
            } else {
                Cache::store($name)->flush();
            }
        }
    }

    private static function forgetIn(PhpRedisConnection $redis): void
    {
        $prefix = config()->string('database.redis.options.prefix');
        $cursor = null;
        do {
            $found = $redis->scan($cursor, ['match' => addcslashes($prefix, '*?[]\\').'*', 'count' => self::AT_ONCE]);
            [$cursor, $keys] = is_array($found) ? $found : [0, []];
            foreach (array_filter(is_array($keys) ? $keys : [], is_string(...)) as $key) {
                // The connection puts the prefix before what it is told.
                $redis->command('unlink', [substr($key, strlen($prefix))]);
            }
        } while (is_numeric($cursor) && (int) $cursor !== 0);
    }
}
