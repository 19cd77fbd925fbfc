<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;
use Illuminate\Support\Facades\Storage;

/** The work of bringing in a file that has been begun with, in parts, which any worker can go on with. */
final readonly class ImportInParts
{
    public function __construct(private StagedImport $staged, private ImportLetters $letters)
    {
    }

    /**
     * Goes on with it, for about so long: lays down, puts in force, writes to people.
     *
     * @return bool whether there is more to be done
     */
    public function goOn(Import $import, float $seconds): bool
    {
        $start = hrtime(true);
        $time = static fn (): bool => (hrtime(true) - $start) / 1e9 < $seconds;
        try {
            while ($import->state === 'bringing in' && $this->staged->stageSome($import)) {
                if (! $time()) {
                    return true;
                }
            }
            if ($import->state === 'bringing in') {
                $this->staged->putInForce($import);
                Storage::delete($import->path);
            }
        } catch (NotReadable $e) {
            $this->staged->giveUp($import, $e->getMessage());

            return false;
        }
        while ($this->letters->writeSome($import)) {
            if (! $time()) {
                return true;
            }
        }

        return false;
    }
}
