<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Access\ForgetAllKept;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Redis;
use Tests\TestCase;

/** What a school keeps is forgotten at once, as where a backup is brought back. */
final class ForgetAllKeptTest extends TestCase
{
    public function test_what_is_kept_is_gone(): void
    {
        Cache::put('course', 'compiled', 600);
        app(ForgetAllKept::class)();
        self::assertNull(Cache::get('course'));
    }

    public function test_bug_a_backup_that_was_brought_back_emptied_the_redis_of_other_schools(): void
    {
        if (config('cache.default') !== 'redis') {
            self::markTestSkipped('Of schools with Redis.');
        }
        $others = new \Redis;
        $others->connect((string) getenv('REDIS_HOST'), (int) getenv('REDIS_PORT'));
        $key = 'another school '.bin2hex(random_bytes(6));
        $others->set($key, 'signed in');
        foreach (range(1, 2500) as $number) {
            Cache::put("course {$number}", 'compiled', 600);
        }
        app(ForgetAllKept::class)();
        self::assertSame([null, null, 'signed in'], [Cache::get('course 1'), Cache::get('course 2500'), $others->get($key)]);
        self::assertSame([], Redis::connection('default')->command('keys', ['*']));
        $others->del($key);
    }
}
