<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/**
 * Files of the school as files of this machine, for what reads them by their paths: archives, tables, libraries. Where they lie elsewhere
 * they are copied here, once a request or job, and the copies are gone when that is over.
 */
final class LocalCopies
{
    /** @var array<string, string> by the path in the school's files */
    private array $copies = [];

    public function path(string $stored): string
    {
        $disk = Storage::disk();
        if ($disk instanceof LocalFilesystemAdapter) {
            return $disk->path($stored);
        }
        if (! isset($this->copies[$stored])) {
            $copy = self::newFile();
            $stream = Storage::exists($stored) ? Storage::readStream($stored) : null;
            if ($stream === null) {
                // As a file that is not there is not there on this machine either.
                unlink($copy);
            } else {
                file_put_contents($copy, $stream);
                fclose($stream);
            }
            $this->copies[$stored] = $copy;
        }

        return $this->copies[$stored];
    }

    /** A file of nobody else's, empty. */
    public static function newFile(): string
    {
        $file = tempnam(sys_get_temp_dir(), 'keep-'.getmypid().'-');

        return $file === false ? throw new \RuntimeException('No file can be made in the temporary folder.') : $file;
    }

    /** What was copied is not needed any more. */
    public function forget(string $stored): void
    {
        $copy = $this->copies[$stored] ?? '';
        unset($this->copies[$stored]);
        if (is_file($copy)) {
            unlink($copy);
        }
    }

    public function forgetAll(): void
    {
        foreach (array_keys($this->copies) as $stored) {
            $this->forget($stored);
        }
    }

    public function __destruct()
    {
        $this->forgetAll();
    }
}
