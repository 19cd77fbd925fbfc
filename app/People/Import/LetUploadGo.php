<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;
use App\Models\ImportRow;
use Illuminate\Support\Facades\Storage;

/** Lets go of a list that was uploaded: its file, and the rows that were read of it. What it brought in stays, and can be taken back. */
final class LetUploadGo
{
    private const BROUGHT_IN = ['done', 'taking back', 'taken back'];

    /** Rows that go in one statement. */
    private const ROWS = 2000;

    public function __invoke(Import $import): void
    {
        Storage::delete($import->path);
        do {
            $some = $import->rows()->limit(self::ROWS)->pluck('id')->all();
            ImportRow::query()->whereIn('id', $some)->delete();
        } while (count($some) === self::ROWS);
        $import->update(['path' => '', 'state' => in_array($import->state, self::BROUGHT_IN, true) ? $import->state : 'gone']);
    }
}
