<?php

declare(strict_types=1);

namespace App\School\Backup;

use Closure;

/** The database that the school works on, as far as it is packed and unpacked: in a backup it is always a file of SQLite. */
interface DatabaseInPlace
{
    /**
     * Runs what packs the database, so that what was answered before that is in it.
     *
     * @template T
     *
     * @param  Closure(): T  $pack
     * @return T
     */
    public function whilePacked(Closure $pack): mixed;

    /**
     * Copies it into a file that is not there yet, while it is worked on.
     *
     * @throws BackupRefused
     */
    public function copyTo(string $file): void;

    public function isThere(): bool;

    /** A file that a database can be unpacked into, which is then put in place. */
    public function fileForNew(): string;

    /**
     * Puts a file in place of what is there, as this program has its tables.
     *
     * @param  bool  $keep  what is there is kept
     * @return ?string file in which it is kept
     */
    public function replaceWith(string $file, bool $keep): ?string;
}
