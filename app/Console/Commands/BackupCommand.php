<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\School\Backup\BackUp;
use App\School\Backup\BackupRefused;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'keep:backup {file : to be written; must not be there yet}';

    protected $description = 'Write the whole school, media and all, into one file, while it goes on working';

    public function handle(BackUp $backUp): int
    {
        try {
            $told = $backUp((string) $this->argument('file'));
        } catch (BackupRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line(sprintf('%s: %.1f MB, %d media files', (string) $this->argument('file'), $told['bytes'] / 1048576, $told['media']));
        foreach ($told['missing'] as $path) {
            $this->warn("{$path} was not there.");
        }

        return self::SUCCESS;
    }
}
