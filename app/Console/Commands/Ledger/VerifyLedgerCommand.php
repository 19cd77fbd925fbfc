<?php

declare(strict_types=1);

namespace App\Console\Commands\Ledger;

use App\Ledger\Proof\Head;
use App\Ledger\Proof\VerifyLedger;
use Illuminate\Console\Command;

final class VerifyLedgerCommand extends Command
{
    protected $signature = 'keep:verify-ledger {--head=* : an end of the ledger that was noted, as a backup and the log of the program have it}';

    protected $description = 'Read the whole ledger and say what is not as it was written';

    public function handle(VerifyLedger $verify): int
    {
        $heads = [];
        foreach ((array) $this->option('head') as $told) {
            $head = Head::from(is_string($told) ? $told : '');
            if ($head === null) {
                $this->error('An end of the ledger is its number, a colon and 44 letters.');

                return self::INVALID;
            }
            $heads[] = $head;
        }
        ['entries' => $entries, 'findings' => $findings] = $verify($heads);
        foreach ($findings as $finding) {
            $this->error($finding->told());
        }
        if ($findings !== []) {
            return self::FAILURE;
        }
        $this->info("{$entries} entries, all as they were written; the tables are as they say. The last one: ".Head::now()->told());

        return self::SUCCESS;
    }
}
