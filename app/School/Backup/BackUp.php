<?php

declare(strict_types=1);

namespace App\School\Backup;

use App\Models\Medium;
use App\Models\Picture;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Psr\Clock\ClockInterface;
use SQLite3;

/**
 * Writes the whole school into one file while it goes on working. Media come first, however long they take; then, while
 * whoever writes waits, the database by SQLite's own online backup, and the file is given its name. So all that was answered
 * before the file is there is in it.
 */
final readonly class BackUp
{
    public const FORMAT = 'silent-keep.backup/1';

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  string  $file  that is not there yet
     * @return array{bytes: int, media: int, missing: list<string>} missing: media that the database speaks of and that are not there
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
            $zip = StoredZip::create($part, $this->clock->now()->getTimestamp());
            $packed = [];
            // What was put in while the others were packed is packed as well, until there is nothing left to wait for.
            do {
                $new = self::pack($zip, self::pathsIn(DB::connection()->getDatabaseName()), $packed);
                $zip->flush();
            } while ($new > 0);
            $told = DB::transaction(fn (): array => $this->finish($zip, $packed, $part, $database, $file));
        } finally {
            foreach ([$database, $part] as $left) {
                if (is_file($left)) {
                    unlink($left);
                }
            }
        }

        return ['bytes' => (int) filesize($file), ...$told];
    }

    /**
     * What happens while nobody else can write.
     *
     * @param  array<string, true>  $packed
     * @return array{media: int, missing: list<string>}
     */
    private function finish(StoredZip $zip, array $packed, string $part, string $database, string $file): array
    {
        self::copyDatabase(DB::connection()->getDatabaseName(), $database);
        $zip->addFile('school.sqlite', $database);
        $paths = self::pathsIn($database);
        self::pack($zip, $paths, $packed);
        $media = array_values(array_filter($paths, static fn (string $path): bool => isset($packed[$path])));
        $missing = array_values(array_diff($paths, $media));
        $zip->addText('backup.json', json_encode([
            'format' => self::FORMAT, 'made_at' => $this->clock->now()->format(DATE_RFC3339), 'migrations' => DB::table('migrations')->orderBy('id')->pluck('migration')->all(),
            'database' => hash_file('sha256', $database), 'media' => $media, 'missing' => $missing,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
        $zip->close();
        if (file_exists($file)) {
            throw BackupRefused::isThere($file);
        }
        if (! rename($part, $file)) {
            throw BackupRefused::notWritable(dirname($file));
        }

        return ['media' => count($media), 'missing' => $missing];
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

    /**
     * @param  list<string>  $paths
     * @param  array<string, true>  $packed  by path; grows
     * @return int how many of them were not packed yet, and are there
     */
    private static function pack(StoredZip $zip, array $paths, array &$packed): int
    {
        $new = 0;
        foreach ($paths as $path) {
            if (! isset($packed[$path]) && $zip->addFile("files/{$path}", Storage::path($path))) {
                $packed[$path] = true;
                $new++;
            }
        }

        return $new;
    }

    /** @return list<string> of the media and pictures that a database speaks of */
    private static function pathsIn(string $database): array
    {
        $opened = new SQLite3($database, SQLITE3_OPEN_READONLY);
        $opened->busyTimeout(10_000);
        $rows = $opened->query('select distinct path from '.(new Medium)->getTable().' order by path');
        $paths = [];
        while ($rows !== false && ($row = $rows->fetchArray(SQLITE3_ASSOC)) !== false) {
            if (is_string($row['path'])) {
                $paths[] = $row['path'];
            }
        }
        $pictures = $opened->query('select token, widths from '.(new Picture)->getTable().' order by id');
        while ($pictures !== false && ($row = $pictures->fetchArray(SQLITE3_ASSOC)) !== false) {
            array_push($paths, ...(new Picture)->setRawAttributes($row)->paths());
        }
        $opened->close();

        return $paths;
    }
}
