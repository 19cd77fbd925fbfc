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

    /** Of what it is to be a copy as soon as somebody opens it. */
    private static ?string $wanted = null;

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

    /** Its file, or what PostgreSQL calls it; ready to be opened. */
    public static function path(): string
    {
        self::ready();

        return self::place();
    }

    /** Likewise, and perhaps not there yet. */
    public static function place(): string
    {
        return PgsqlSchools::areMeant() ? self::$name ??= PgsqlSchools::name() : self::folder().'/school.sqlite';
    }

    /** Whoever opens it finds what is meant to be there. Most tests never do. */
    public static function ready(): void
    {
        if (self::$wanted !== null) {
            [$template, self::$wanted] = [self::$wanted, null];
            self::swap($template);
        }
    }

    /** @return array<string, string> by which another process finds it */
    public static function environment(): array
    {
        return PgsqlSchools::areMeant() ? PgsqlSchools::environment(self::path()) : ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => self::path()];
    }

    /** By which PDO finds it. */
    public static function dsn(): string
    {
        return PgsqlSchools::areMeant() ? PgsqlSchools::dsn(self::path()) : 'sqlite:'.self::path();
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
        $template = PgsqlSchools::areMeant() ? self::place().'_'.hash('xxh64', $name) : self::folder().'/'.hash('xxh64', $name).'.template';
        if (! isset(self::$made[$name])) {
            self::$wanted = null;
            self::swap(null);
            $make();
            self::keep($template);
            self::$made[$name] = true;
        }
        DB::purge();
        self::$wanted = $template;
    }

    private static function keep(string $template): void
    {
        if (PgsqlSchools::areMeant()) {
            DB::purge();
            PgsqlSchools::make($template, self::place());
        } else {
            DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
            DB::purge();
            copy(self::place(), $template);
        }
    }

    private static function swap(?string $template): void
    {
        DB::purge();
        if (PgsqlSchools::areMeant()) {
            PgsqlSchools::make(self::place(), $template);

            return;
        }
        foreach (['', '-wal', '-shm'] as $end) {
            if (is_file(self::place().$end)) {
                unlink(self::place().$end);
            }
        }
        $template === null ? touch(self::place()) : copy($template, self::place());
    }
}
