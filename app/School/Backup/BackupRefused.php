<?php

declare(strict_types=1);

namespace App\School\Backup;

/** Why a backup was not made, or not brought back. Nothing of the school was changed. */
final class BackupRefused extends \RuntimeException
{
    public static function isThere(string $file): self
    {
        return new self("{$file} is there already. Choose another name; a backup replaces nothing.");
    }

    public static function notWritable(string $folder): self
    {
        return new self("Nothing can be written to {$folder}.");
    }

    public static function noRoom(): self
    {
        return new self('There is no room for it, or the disk does not take it.');
    }

    public static function databaseNotCopied(string $why): self
    {
        return new self("The database could not be copied: {$why}.");
    }

    public static function notReadable(string $file, string $why): self
    {
        return new self("{$file} is no backup that can be brought back: {$why}.");
    }

    public static function schoolIsThere(): self
    {
        return new self('There is a school here already. Say --replace if it is to make way; its database is kept beside the new one.');
    }
}
