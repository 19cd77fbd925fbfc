<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Publishing\PublishDue;
use Illuminate\Console\Command;

final class PublishDueCommand extends Command
{
    protected $signature = 'keep:publish-due';

    protected $description = 'Publish each draft whose set time has come (the schedule does this every minute)';

    public function handle(PublishDue $publish): int
    {
        foreach ($publish() as ['course' => $course, 'revision' => $revision, 'refused' => $refused]) {
            $this->line($refused === null ? "{$course}: revision {$revision} is live." : "{$course}: {$refused}");
        }

        return self::SUCCESS;
    }
}
