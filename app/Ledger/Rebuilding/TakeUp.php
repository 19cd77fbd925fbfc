<?php

declare(strict_types=1);

namespace App\Ledger\Rebuilding;

use App\Ledger\Recording\Recording;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Records again where that was left off, as for a migration: what has become of rows meanwhile is written as its doing. */
final readonly class TakeUp
{
    public function __construct(private ClockInterface $clock, private PresentTables $tables)
    {
    }

    public function __invoke(): void
    {
        if (Recording::isOn()) {
            return;
        }
        DB::transaction(function (): void {
            if (DB::getSchemaBuilder()->hasTable('ledger')) {
                $this->tables->takeOver($this->clock->now()->getTimestamp(), 'program', 'migration');
                Recording::begin();
            }
        });
    }
}
