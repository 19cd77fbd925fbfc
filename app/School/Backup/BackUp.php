<?php

declare(strict_types=1);

namespace App\School\Backup;

use App\Database\Copying\OtherDatabase;
use App\Database\Value;
use App\Ledger\Proof\Head;
use App\Models\Medium;
use App\Models\Picture;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Psr\Clock\ClockInterface;

/**
 * Writes the whole school into one file while it goes on working. Media come first, however long they take; then, with
 * SQLite while whoever writes waits, the database, and the file is given its name. So with SQLite all that was answered before the file
 * is there is in it, with PostgreSQL all that was answered before the database was its turn.
 */
final readonly class BackUp
{
    public const FORMAT = 'silent-keep.backup/1';

    public function __construct(private ClockInterface $clock, private DatabaseInPlace $place)
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
                $new = self::pack($zip, self::pathsIn(DB::connection()), $packed);
                $zip->flush();
            } while ($new > 0);
            $told = $this->place->whilePacked(fn (): array => $this->finish($zip, $packed, $part, $database, $file));
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
        $this->place->copyTo($database);
        $zip->addFile('school.sqlite', $database);
        $copy = OtherDatabase::sqlite($database);
        $paths = self::pathsIn($copy->connection);
        $head = Head::now($copy->connection);
        $copy->close();
        self::pack($zip, $paths, $packed);
        $media = array_values(array_filter($paths, static fn (string $path): bool => isset($packed[$path])));
        $missing = array_values(array_diff($paths, $media));
        $zip->addText('backup.json', json_encode([
            'format' => self::FORMAT, 'made_at' => $this->clock->now()->format(DATE_RFC3339), 'migrations' => DB::table('migrations')->orderBy('id')->pluck('migration')->all(),
            'database' => hash_file('sha256', $database), 'ledger' => $head->told(), 'media' => $media, 'missing' => $missing,
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

    /**
     * @param  list<string>  $paths
     * @param  array<string, true>  $packed  by path; grows
     * @return int how many of them were not packed yet, and are there
     */
    private static function pack(StoredZip $zip, array $paths, array &$packed): int
    {
        $new = 0;
        foreach ($paths as $path) {
            $stream = ! isset($packed[$path]) && Storage::exists($path) ? Storage::readStream($path) : null;
            if ($stream !== null) {
                $zip->addStream("files/{$path}", $stream);
                $packed[$path] = true;
                $new++;
            }
        }

        return $new;
    }

    /** @return list<string> of the media and pictures that a database speaks of */
    private static function pathsIn(Connection $database): array
    {
        $media = (new Medium)->getTable();
        $paths = [];
        foreach (['path', 'poster'] as $column) {
            array_push($paths, ...Value::texts($database->table($media)->whereNotNull($column)->distinct()->orderBy($column)->pluck($column)));
        }
        foreach ($database->table((new Picture)->getTable())->orderBy('id')->get(['token', 'widths']) as $row) {
            array_push($paths, ...(new Picture)->setRawAttributes((array) $row)->paths());
        }

        return $paths;
    }
}
