<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Privacy\Erasing\EraseAgain;
use App\School\Backup\BackupRefused;
use App\School\Backup\Restore;
use Illuminate\Console\Command;

final class RestoreCommand extends Command
{
    protected $signature = 'keep:restore {file : made by keep:backup} {--replace : although there is a school here}';

    protected $description = 'Bring a backup back, after looking whether it is whole (stop the server meanwhile)';

    public function handle(Restore $restore, EraseAgain $eraseAgain): int
    {
        $erased = EraseAgain::known();
        try {
            $told = $restore((string) $this->argument('file'), $this->option('replace') === true);
        } catch (BackupRefused $e) {
            $this->error($e->getMessage());
            $this->line('Nothing was changed.');

            return self::FAILURE;
        }
        $this->line("The school is as it was at {$told['made_at']}, with {$told['media']} media files.");
        if ($told['kept'] !== null) {
            $this->line("The database that was here is kept as {$told['kept']}.");
        }

        $again = $eraseAgain($erased);
        if ($again > 0) {
            $this->line("Erased once more, as they were since then: {$again}.");
        }

        return self::SUCCESS;
    }
}
