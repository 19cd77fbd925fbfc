<?php

declare(strict_types=1);

namespace App\Access;

use FilesystemIterator;
use Psr\Clock\ClockInterface;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What was kept in files and is over: of itself such a file goes only when somebody asks for what is in it. */
final readonly class LetKeptGo
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return int how many are gone */
    public function __invoke(): int
    {
        $folder = config()->string('cache.stores.file.path');
        $now = $this->clock->now()->getTimestamp();
        $gone = 0;
        if (! is_dir($folder)) {
            return 0;
        }
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
            assert($file instanceof SplFileInfo);
            // Each begins with the instant at which it is over. Another process may be about to write it anew, or to delete it.
            $over = @file_get_contents($file->getPathname(), length: 10);
            if (is_string($over) && ctype_digit($over) && (int) $over <= $now && @unlink($file->getPathname())) {
                $gone++;
            }
        }

        return $gone;
    }
}
