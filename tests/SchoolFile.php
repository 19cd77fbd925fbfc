<?php

declare(strict_types=1);

namespace Tests;

use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/**
 * The database of a test: a file of its own, copied from one that was made once in this process, or a database of PostgreSQL likewise.
 * So transactions are real ones, and a second process can work beside the test.
 */
final class SchoolFile
{
    private static ?string $folder = null;

    /** In PostgreSQL. */
    private static ?string $name = null;

    /** @var array<string, true> what is made already */
    private static array $made = [];

    /** Points the application at an empty school's database. */
    public static function empty(): void
    {
        self::copyOf('empty', static fn (): int => Artisan::call('migrate', ['--force' => true]));
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

    /** Of SQLite; what PostgreSQL calls it. */
    public static function path(): string
    {
        return PgsqlSchools::areMeant() ? self::name() : self::folder().'/school.sqlite';
    }

    /** @return array<string, string> by which another process finds it */
    public static function environment(): array
    {
        return PgsqlSchools::areMeant() ? PgsqlSchools::environment(self::name()) : ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => self::path()];
    }

    /** By which PDO finds it. */
    public static function dsn(): string
    {
        return PgsqlSchools::areMeant() ? PgsqlSchools::dsn(self::name()) : 'sqlite:'.self::path();
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

    private static function name(): string
    {
        return self::$name ??= PgsqlSchools::name();
    }

    /** @param  Closure(): mixed  $make */
    private static function copyOf(string $name, Closure $make): void
    {
        $template = PgsqlSchools::areMeant() ? self::name().'_'.hash('xxh64', $name) : self::folder().'/'.hash('xxh64', $name).'.template';
        if (! isset(self::$made[$name])) {
            self::swap(null);
            $make();
            self::keep($template);
            self::$made[$name] = true;
        }
        self::swap($template);
    }

    private static function keep(string $template): void
    {
        if (PgsqlSchools::areMeant()) {
            DB::purge();
            PgsqlSchools::make($template, self::name());
        } else {
            DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
            DB::purge();
            copy(self::path(), $template);
        }
    }

    private static function swap(?string $template): void
    {
        DB::purge();
        if (PgsqlSchools::areMeant()) {
            PgsqlSchools::make(self::name(), $template);

            return;
        }
        foreach (['', '-wal', '-shm'] as $end) {
            if (is_file(self::path().$end)) {
                unlink(self::path().$end);
            }
        }
        $template === null ? touch(self::path()) : copy($template, self::path());
    }
}
