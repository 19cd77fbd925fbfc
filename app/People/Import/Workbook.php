<?php

declare(strict_types=1);

namespace App\People\Import;

/** Files of spreadsheet programs, which hold more than one table and are not read. */
final class Workbook
{
    /** The beginning of compound files, in which older programs keep theirs. */
    private const COMPOUND = "\xD0\xCF\x11\xE0";

    private function __construct()
    {
    }

    public static function is(string $path): bool
    {
        if (file_get_contents($path, length: 4) === self::COMPOUND) {
            return true;
        }
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            return false;
        }
        // Office Open XML; and OpenDocument, which says what it is in its first entry.
        $is = $zip->statName('[Content_Types].xml') !== false || str_starts_with((string) $zip->getFromName('mimetype'), 'application/vnd.oasis.opendocument.');
        $zip->close();

        return $is;
    }
}
