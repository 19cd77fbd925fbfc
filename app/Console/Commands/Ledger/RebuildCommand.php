<?php

declare(strict_types=1);

namespace App\Console\Commands\Ledger;

use App\Ledger\Proof\Chain;
use App\Ledger\Rebuilding\Difference;
use App\Ledger\Rebuilding\PresentTables;
use Illuminate\Console\Command;

final class RebuildCommand extends Command
{
    protected $signature = 'keep:rebuild {--put : puts what the ledger says in place of what is there}';

    protected $description = 'Make the tables on which access depends once more from the ledger, and say where they differ';

    public function handle(Chain $chain, PresentTables $tables): int
    {
        if ($chain->read()['findings'] !== []) {
            $this->error('The ledger itself is not as it was written: keep:verify-ledger says where. Nothing was changed.');

            return self::FAILURE;
        }
        $put = $this->option('put') === true;
        $differences = $put ? $tables->putBack() : $tables->differences();
        $this->table(['table', 'rows', 'lacking', 'surplus', 'other', 'first'], array_map(
            static fn (string $table, Difference $is): array => [$table, $is->rows, $is->lacking, $is->surplus, $is->other, $is->first],
            array_keys($differences), $differences,
        ));
        $differ = array_sum(array_map(static fn (Difference $is): int => $is->count(), $differences));
        $this->line(match (true) {
            $differ === 0 => 'All tables are as the ledger says.',
            $put => "{$differ} rows were put right.",
            default => "{$differ} rows are not as the ledger says; --put puts them right.",
        });

        return $differ === 0 || $put ? self::SUCCESS : self::FAILURE;
    }
}
