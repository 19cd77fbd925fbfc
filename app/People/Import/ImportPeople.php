<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;

/** Brings in all that was read of a file of people, or nobody. */
final readonly class ImportPeople
{
    public function __construct(private StagedImport $staged)
    {
    }

    /**
     * Has the queue do it.
     *
     * @throws NotReadable if it is not ready, or is being brought in already
     */
    public function __invoke(Import $import): void
    {
        $this->staged->begin($import);
        ContinueImport::dispatch($import->id);
    }
}
