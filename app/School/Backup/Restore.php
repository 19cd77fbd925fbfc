<?php

declare(strict_types=1);

namespace App\School\Backup;

use App\Access\ForgetAllKept;
use App\Database\Value;
use App\Files\LocalCopies;
use Illuminate\Support\Facades\Storage;
use SQLite3;
use ZipArchive;

/** Brings a backup back: looks at all of it first, then puts it in place of what is there. The server is to be stopped meanwhile. */
final readonly class Restore
{
    private const MANIFEST_BYTES = 50_000_000;

    public function __construct(private DatabaseInPlace $place, private ForgetAllKept $forgetAllKept)
    {
    }

    /**
     * @param  bool  $replace  a school that is there makes way; its database is kept
     * @return array{made_at: string, media: int, kept: ?string} kept: where the database is that was there
     *
     * @throws BackupRefused if there is a school and it is not to be replaced, or the file is broken, cut short, of another kind or of a newer version
     */
    public function __invoke(string $file, bool $replace): array
    {
        $there = $this->place->isThere();
        if ($there && ! $replace) {
            throw BackupRefused::schoolIsThere();
        }
        $zip = new ZipArchive;
        if (! is_readable($file) || $zip->open($file, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw BackupRefused::notReadable($file, 'it cannot be read, or is cut short');
        }
        $manifest = self::manifest($zip, $file);
        $new = $this->place->fileForNew();
        try {
            self::unpack($zip, 'school.sqlite', $new, $file);
            self::check($new, $manifest['database'], $file);
            foreach ($manifest['media'] as $path) {
                // Names are made by chance: what is there already under one is the same file.
                if (! Storage::exists($path)) {
                    $copy = LocalCopies::newFile();
                    unlink($copy);
                    self::unpack($zip, "files/{$path}", $copy, $file);
                    $stream = fopen($copy, 'rb');
                    Storage::writeStream($path, $stream === false ? throw BackupRefused::notReadable($file, "{$path} cannot be unpacked") : $stream);
                    unlink($copy);
                }
            }
            $kept = $this->place->replaceWith($new, keep: $there);
        } finally {
            $zip->close();
            if (is_file($new)) {
                unlink($new);
            }
        }
        ($this->forgetAllKept)();

        return ['made_at' => $manifest['made_at'], 'media' => count($manifest['media']), 'kept' => $kept];
    }

    /**
     * @return array{made_at: string, database: string, media: list<string>}
     *
     * @throws BackupRefused
     */
    private static function manifest(ZipArchive $zip, string $file): array
    {
        $stat = $zip->statName('backup.json');
        $json = $stat === false || $stat['size'] > self::MANIFEST_BYTES ? null : json_decode((string) $zip->getFromName('backup.json', self::MANIFEST_BYTES), true);
        if (! is_array($json) || ($json['format'] ?? null) !== BackUp::FORMAT || ! is_string($json['database'] ?? null) || ! is_array($json['media'] ?? null) || ! is_array($json['migrations'] ?? null)) {
            throw BackupRefused::notReadable($file, 'it does not say that it is one of '.BackUp::FORMAT);
        }
        $known = array_map(static fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $newer = array_diff(Value::texts($json['migrations']), $known);
        if ($newer !== []) {
            throw BackupRefused::notReadable($file, 'it was made by a newer version of this program');
        }
        $media = [];
        foreach ($json['media'] as $path) {
            // Names that lead out of the folder are none of ours.
            if (! is_string($path) || preg_match('#^media(/[A-Za-z0-9_-][A-Za-z0-9_.-]*)+$#D', $path) !== 1 || $zip->statName("files/{$path}") === false) {
                throw BackupRefused::notReadable($file, 'it names a file that it does not hold');
            }
            $media[] = $path;
        }

        return ['made_at' => is_string($json['made_at'] ?? null) ? $json['made_at'] : 'an unknown time', 'database' => $json['database'], 'media' => $media];
    }

    private static function unpack(ZipArchive $zip, string $name, string $to, string $file): void
    {
        $stream = $zip->getStream($name);
        $size = $zip->statName($name)['size'] ?? null;
        $target = $stream === false ? false : fopen($to, 'x');
        if ($stream === false || $target === false) {
            throw BackupRefused::notReadable($file, "{$name} cannot be unpacked");
        }
        chmod($to, 0600);
        $written = stream_copy_to_stream($stream, $target);
        fclose($target);
        fclose($stream);
        if ($written !== $size) {
            unlink($to);
            throw BackupRefused::notReadable($file, "{$name} is cut short");
        }
    }

    private static function check(string $database, string $hash, string $file): void
    {
        if (! hash_equals($hash, (string) hash_file('sha256', $database))) {
            throw BackupRefused::notReadable($file, 'its database is another one than it says');
        }
        $whole = self::isWhole($database);
        foreach (['-wal', '-shm'] as $end) {
            if (is_file($database.$end)) {
                unlink($database.$end);
            }
        }
        if (! $whole) {
            throw BackupRefused::notReadable($file, 'its database is damaged, or holds no school');
        }
    }

    private static function isWhole(string $database): bool
    {
        try {
            $copy = new SQLite3($database, SQLITE3_OPEN_READWRITE);
            $copy->enableExceptions(true);
            $whole = $copy->querySingle('PRAGMA integrity_check') === 'ok' && $copy->querySingle('select count(*) from pragma_foreign_key_check') === 0 && $copy->querySingle('select count(*) from schools') > 0;
            $copy->close();

            return $whole;
        } catch (\Exception) {
            return false;
        }
    }
}
