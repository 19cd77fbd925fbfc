<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Sends some of the letters that wait, and goes on with the others. */
final class SendLetters implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function handle(Post $post): void
    {
        if ($post->sendSome()) {
            self::dispatch();
        }
    }
}
