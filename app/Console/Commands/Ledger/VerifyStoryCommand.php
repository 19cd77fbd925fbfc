<?php

declare(strict_types=1);

namespace App\Console\Commands\Ledger;

use App\Ledger\Proof\SealedFiles;
use Illuminate\Console\Command;

final class VerifyStoryCommand extends Command
{
    protected $signature = 'keep:verify-story {file : the archive, as it was sent}';

    protected $description = 'Say whether a story of somebody was signed by this school, and is as it was';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $found = is_readable($file) ? SealedFiles::look($file) : null;
        if ($found === null) {
            $this->error('This was not signed by this school, or is no such file.');

            return self::FAILURE;
        }
        foreach ($found['wrong'] as $name) {
            $this->error("{$name} is not as it was signed.");
        }
        if ($found['wrong'] !== []) {
            return self::FAILURE;
        }
        foreach ($found['told'] as $what => $told) {
            $this->line("{$what}: {$told}");
        }
        $this->info('Signed by this school, and as it was.');

        return self::SUCCESS;
    }
}
