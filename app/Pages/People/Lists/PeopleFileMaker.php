<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use App\Models\CsvForm;
use App\Models\PeopleFile;
use App\Models\PeopleFilePart;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes the files of people that are asked for, one part after another. */
final readonly class PeopleFileMaker
{
    public function __construct(private PeopleLines $lines, private ClockInterface $clock)
    {
    }

    /** The next part. False where nothing is left to be made. */
    public function makeSome(int $id): bool
    {
        $file = PeopleFile::query()->where('state', 'making')->find($id);
        $part = $file?->parts()->whereNull('lines')->first();
        if ($file === null || $part === null) {
            PeopleFile::query()->whereKey($id)->where('state', 'making')->update(['state' => 'ready', 'making' => null, 'finished_at' => gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp())]);

            return false;
        }
        $lines = CsvForm::text($this->lines->of($part->people, $file->course, $file->samples), $file->form);
        DB::transaction(static function () use ($file, $part, $lines): void {
            // Not where it was shut meanwhile (somebody may have been erased since they were read here), nor where another worker has made this part.
            $isMade = PeopleFile::query()->whereKey($file->id)->where('state', 'making')->lockForUpdate()->exists()
                && PeopleFilePart::query()->whereKey($part->id)->whereNull('lines')->update(['lines' => $lines]) === 1;
            if ($isMade) {
                PeopleFile::query()->whereKey($file->id)->incrementEach(['made' => count($part->people), 'bytes' => strlen($lines)]);
            }
        });

        return true;
    }

    /** It is given up: whoever asked can ask anew. */
    public function failed(int $id): void
    {
        PeopleFile::query()->whereKey($id)->where('state', 'making')->update(['state' => 'failed', 'making' => null]);
    }
}
