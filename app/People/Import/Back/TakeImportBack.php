<?php

declare(strict_types=1);

namespace App\People\Import\Back;

use App\Models\Import;
use App\Models\Person;
use App\People\Import\NotReadable;
use App\People\Import\StagedImport;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Has the queue take back what a file brought: see {@see TakingImportBack}. */
final class TakeImportBack
{
    /** Days for which it can be done. */
    public const DAYS = 30;

    /** Whether it brought anything that is remembered still. */
    public static function isPossible(Import $import): bool
    {
        return $import->state === 'done' && array_filter(StagedImport::TABLES, static fn (string $table): bool => DB::table($table)->where('import_id', $import->id)->exists()) !== [];
    }

    /** @throws NotReadable if it was not brought in, or is taken back already */
    public function __invoke(Import $import, ?Person $actor): void
    {
        // Whoever is second finds nothing to do.
        if (! self::isPossible($import) || Import::query()->whereKey($import->id)->where('state', 'done')->update(['state' => 'taking back', 'problem' => null, 'taken_back_by' => $actor?->id]) !== 1) {
            throw new NotReadable(Say::text('files.take_back.not_possible'));
        }
        $import->refresh();
        ContinueTakingBack::dispatch($import->id);
    }
}
