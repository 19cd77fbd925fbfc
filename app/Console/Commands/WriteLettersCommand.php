<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Learning\Letters\WriteDueLetters;
use App\Standins\Mail\Post;
use App\Standins\Mail\SendLetters;
use Illuminate\Console\Command;

final class WriteLettersCommand extends Command
{
    protected $signature = 'keep:write-letters';

    protected $description = 'Write the letters that are due by themselves, and have those sent that wait (the schedule does this every minute)';

    public function handle(WriteDueLetters $write, Post $post): int
    {
        foreach ($write() as $kind => $written) {
            if ($written > 0) {
                $this->line("{$kind}: {$written}");
            }
        }
        // Those of which a worker was stopped, and those that did not go and are tried again.
        if ($post->isDue()) {
            SendLetters::dispatch();
        }

        return self::SUCCESS;
    }
}
