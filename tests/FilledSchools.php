<?php

declare(strict_types=1);

namespace Tests;

use Closure;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;

/** Schools that were filled once, for all tests that run the very same code: to migrate and to load the demo takes seconds. */
final class FilledSchools
{
    private const MADE_BY = ['app', 'config', 'core', 'database', 'lang'];

    private function __construct()
    {
    }

    /**
     * Puts one into a folder, and leaves what was filled there to others where it is the first.
     *
     * @param  string  $database  in the folder; of PostgreSQL, what it calls it
     * @param  Closure(): mixed  $fill  fills the folder
     */
    public static function copy(string $folder, string $database, string $name, Closure $fill): void
    {
        $kept = dirname(__DIR__).'/storage/framework/testing';
        is_dir($kept) || mkdir($kept, 0o755, true) || is_dir($kept);
        $lock = fopen("{$kept}/lock", 'c');
        assert($lock !== false);
        flock($lock, LOCK_EX);
        // Of PostgreSQL only for as long as that runs.
        $template = PgsqlSchools::areMeant() ? 'filled_'.hash('xxh64', self::code().$name) : null;
        $filled = "{$kept}/school-".self::code()."-{$name}".($template === null ? '' : '-pgsql');
        if (is_dir($filled) && ($template === null || PgsqlSchools::isThere($template))) {
            (new Process(['cp', '-a', "{$filled}/.", $folder]))->mustRun();
            $template === null || PgsqlSchools::make($database, $template);
        } else {
            $fill();
            // What older code has filled is of no use any more.
            foreach (glob("{$kept}/school-*") ?: [] as $old) {
                if (filemtime($old) < time() - 86400) {
                    (new Process(['rm', '-rf', $old]))->run();
                }
            }
            $template === null || PgsqlSchools::make($template, $database);
            (new Process(['rm', '-rf', "{$filled}.half", $filled]))->mustRun();
            (new Process(['cp', '-a', $folder, "{$filled}.half"]))->mustRun();
            rename("{$filled}.half", $filled);
        }
        fclose($lock);
    }

    /** What the code is that fills them. */
    private static function code(): string
    {
        $code = hash_init('xxh128');
        foreach ((new Finder)->files()->in(array_map(static fn (string $part): string => dirname(__DIR__)."/{$part}", self::MADE_BY))->sortByName() as $file) {
            hash_update($code, $file->getPathname());
            hash_update_file($code, $file->getPathname());
        }

        return hash_final($code);
    }
}
