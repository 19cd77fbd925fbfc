<?php

declare(strict_types=1);

namespace App\School\Backup;

use App\Models\School;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use SQLite3;

final readonly class SqliteInPlace implements DatabaseInPlace
{
    public function whilePacked(Closure $pack): mixed
    {
        // Nobody else writes meanwhile.
        return DB::transaction($pack);
    }

    /** By SQLite's own online backup. */
    public function copyTo(string $file): void
    {
        touch($file);
        chmod($file, 0600);
        $source = new SQLite3(self::file(), SQLITE3_OPEN_READWRITE);
        $source->busyTimeout(10_000);
        $copy = new SQLite3($file);
        if (! $source->backup($copy)) {
            throw BackupRefused::databaseNotCopied($source->lastErrorMsg());
        }
        // One file, without a log beside it.
        $copy->exec('PRAGMA journal_mode = DELETE');
        $copy->close();
        $source->close();
    }

    public function isThere(): bool
    {
        return is_file(self::file()) && Schema::hasTable('schools') && School::query()->exists();
    }

    public function fileForNew(): string
    {
        return self::file().'.'.bin2hex(random_bytes(4)).'.new';
    }

    public function replaceWith(string $file, bool $keep): ?string
    {
        $target = self::file();
        $kept = null;
        if ($keep) {
            // All of it into the one file before it is put aside.
            DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
        }
        DB::purge();
        if ($keep) {
            $kept = $target.'.replaced-'.gmdate('Ymd-His').'-'.bin2hex(random_bytes(2));
            rename($target, $kept);
        }
        foreach (['-wal', '-shm'] as $end) {
            if (is_file($target.$end)) {
                unlink($target.$end);
            }
        }
        rename($file, $target);
        Artisan::call('migrate', ['--force' => true]);

        return $kept;
    }

    private static function file(): string
    {
        return DB::connection()->getDatabaseName();
    }
}
