<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

use App\Models\Activity;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;

/** Writes the last entry of the ledger into the activity log, and into the program's own log, which is another file. */
final readonly class NoteHead
{
    public const ACTION = 'ledger.head';

    public function __construct(private ClockInterface $clock, private LoggerInterface $logger)
    {
    }

    public function __invoke(): Head
    {
        $head = DB::transaction(function (): Head {
            $head = Head::now();
            Activity::query()->create(['action' => self::ACTION, 'after' => ['head' => $head->told()], 'happened_at' => $this->clock->now()]);

            return $head;
        });
        $this->logger->info("The ledger ends with {$head->told()}");

        return $head;
    }
}
