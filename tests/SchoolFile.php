<?php

declare(strict_types=1);

namespace Tests;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * The database of a test: a file of its own, copied from one that was made once in this process. So transactions are
 * real ones, and a second process can work beside the test.
 */
final class SchoolFile
{
    private static ?string $folder = null;

    /** @var array<string, true> what is made already */
    private static array $made = [];

    /** Points the application at an empty school's database. */
    public static function empty(): void
    {
        self::copyOf('empty', static fn (): int => \Illuminate\Support\Facades\Artisan::call('migrate', ['--force' => true]));
    }

    /**
     * Points the application at a database that holds what was made, once for each name.
     *
     * @param  Closure(): mixed  $make  fills an empty school
     */
    public static function filled(string $name, Closure $make): void
    {
        self::copyOf($name, static function () use ($make): void {
            self::empty();
            $make();
        });
    }

    public static function path(): string
    {
        return self::folder().'/school.sqlite';
    }

    public static function folder(): string
    {
        if (self::$folder === null) {
            $memory = is_dir('/dev/shm') && is_writable('/dev/shm') ? '/dev/shm' : sys_get_temp_dir();
            self::$folder = $folder = $memory.'/silent-keep-tests-'.bin2hex(random_bytes(6));
            mkdir($folder, 0700);
            register_shutdown_function(static fn () => exec('rm -rf '.escapeshellarg($folder)));
        }

        return self::$folder;
    }

    /** @param  Closure(): mixed  $make */
    private static function copyOf(string $name, Closure $make): void
    {
        $template = self::folder().'/'.hash('xxh64', $name).'.template';
        if (! isset(self::$made[$name])) {
            self::swap(null);
            touch(self::path());
            $make();
            DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
            DB::purge();
            copy(self::path(), $template);
            self::$made[$name] = true;
        }
        self::swap($template);
    }

    private static function swap(?string $template): void
    {
        DB::purge();
        foreach (['', '-wal', '-shm'] as $end) {
            if (is_file(self::path().$end)) {
                unlink(self::path().$end);
            }
        }
        if ($template !== null) {
            copy($template, self::path());
        }
    }
}
