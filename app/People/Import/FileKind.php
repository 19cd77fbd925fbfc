<?php

declare(strict_types=1);

namespace App\People\Import;

use App\People\Import\Roster\RosterPeople;
use App\Words\Say;

/** What a file of people is; and it is put into a form in which it can be read. */
final class FileKind
{
    private const ZIP = "PK\x03\x04";

    private function __construct()
    {
    }

    /**
     * @param  string  $path  of the file on disk
     * @return string csv or oneroster
     *
     * @throws NotReadable
     */
    public static function of(string $path): string
    {
        if (Workbook::is($path)) {
            throw new NotReadable(Say::text('files.plain_csv.workbook'));
        }
        if (file_get_contents($path, length: 4) === self::ZIP) {
            RosterPeople::classes($path);

            return 'oneroster';
        }
        PlainCsv::settle($path);

        return 'csv';
    }
}
