<?php

declare(strict_types=1);

namespace App\Console\Commands\Ledger;

use App\Ledger\Proof\NoteHead;
use Illuminate\Console\Command;

final class NoteLedgerCommand extends Command
{
    protected $signature = 'keep:note-ledger';

    protected $description = 'Write into the logs which the last entry of the ledger is';

    public function handle(NoteHead $note): int
    {
        $this->line($note()->told());

        return self::SUCCESS;
    }
}
