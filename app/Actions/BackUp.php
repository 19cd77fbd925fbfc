<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\Files\BackupRefused;
use App\Models\Medium;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Psr\Clock\ClockInterface;
use SQLite3;
use ZipArchive;

/**
 * Writes the whole school into one file while it goes on working: the database by SQLite's own online backup, which is of
 * one moment, and the media that it speaks of. What was answered before that moment is in it.
 */
final readonly class BackUp
{
    public const FORMAT = 'silent-keep.backup/1';

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  string  $file  that is not there yet
     * @return array{bytes: int, media: int, missing: list<string>} missing: media that were taken out of the school meanwhile
     *
     * @throws BackupRefused if the file cannot be written, or is there already
     */
    public function __invoke(string $file): array
    {
        if (file_exists($file)) {
            throw BackupRefused::isThere($file);
        }
        $folder = dirname($file);
        if (! is_dir($folder) || ! is_writable($folder)) {
            throw BackupRefused::notWritable($folder);
        }
        // Beside where it is to be, so that it comes there in one step, whole or not at all.
        $part = $file.'.'.bin2hex(random_bytes(4)).'.part';
        $database = $part.'.sqlite';
        try {
            self::copyDatabase(DB::connection()->getDatabaseName(), $database);
            $told = $this->pack($part, $database);
            if (! rename($part, $file)) {
                throw BackupRefused::notWritable($folder);
            }
        } finally {
            foreach ([$database, $part] as $left) {
                if (is_file($left)) {
                    unlink($left);
                }
            }
        }

        return ['bytes' => (int) filesize($file), ...$told];
    }

    private static function copyDatabase(string $from, string $to): void
    {
        touch($to);
        chmod($to, 0600);
        $source = new SQLite3($from, SQLITE3_OPEN_READWRITE);
        $source->busyTimeout(10_000);
        $copy = new SQLite3($to);
        if (! $source->backup($copy)) {
            throw BackupRefused::databaseNotCopied($source->lastErrorMsg());
        }
        // One file, without a log beside it.
        $copy->exec('PRAGMA journal_mode = DELETE');
        $copy->close();
        $source->close();
    }

    /** @return array{media: int, missing: list<string>} */
    private function pack(string $file, string $database): array
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::EXCL) !== true) {
            throw BackupRefused::notWritable(dirname($file));
        }
        $zip->addFile($database, 'school.sqlite');
        $media = $missing = [];
        foreach ($this->pathsIn($database) as $path) {
            if (Storage::exists($path)) {
                $zip->addFile(Storage::path($path), "files/{$path}");
                // They are compressed already, most of them.
                $zip->setCompressionName("files/{$path}", ZipArchive::CM_STORE);
                $media[] = $path;
            } else {
                $missing[] = $path;
            }
        }
        $zip->addFromString('backup.json', json_encode([
            'format' => self::FORMAT, 'made_at' => $this->clock->now()->format(DATE_RFC3339), 'migrations' => DB::table('migrations')->orderBy('id')->pluck('migration')->all(),
            'database' => hash_file('sha256', $database), 'media' => $media, 'missing' => $missing,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
        umask(0077);
        if (! $zip->close()) {
            throw BackupRefused::notWritable(dirname($file));
        }

        return ['media' => count($media), 'missing' => $missing];
    }

    /** @return list<string> of the media that the copy speaks of */
    private function pathsIn(string $database): array
    {
        $copy = new SQLite3($database, SQLITE3_OPEN_READONLY);
        $rows = $copy->query('select distinct path from '.(new Medium)->getTable().' order by path');
        $paths = [];
        while ($rows !== false && ($row = $rows->fetchArray(SQLITE3_ASSOC)) !== false) {
            if (is_string($row['path'])) {
                $paths[] = $row['path'];
            }
        }
        $copy->close();

        return $paths;
    }
}
