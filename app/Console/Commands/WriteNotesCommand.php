<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Learning\PassingNotes;
use Illuminate\Console\Command;

final class WriteNotesCommand extends Command
{
    protected $signature = 'keep:write-notes';

    protected $description = 'Write down what was noted while somebody else was writing (the schedule does this every minute)';

    public function handle(PassingNotes $notes): int
    {
        $notes->writeDown();

        return self::SUCCESS;
    }
}
