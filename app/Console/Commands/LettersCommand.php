<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Standins\Mail\Postbox;
use Illuminate\Console\Command;

final class LettersCommand extends Command
{
    protected $signature = 'keep:letters {to? : an e-mail address} {--most=3 : how many}';

    protected $description = 'Print the newest letters of the stand-in for mail as they would arrive, links and all';

    public function handle(Postbox $postbox): int
    {
        $to = $this->argument('to');
        $left = (int) $this->option('most');
        foreach ($postbox->letters(is_string($to) ? $to : null) as $letter) {
            if ($left-- <= 0) {
                break;
            }
            $this->line($letter);
        }

        return self::SUCCESS;
    }
}
