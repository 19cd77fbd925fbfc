<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Models\Message;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Lays letters into the outbox, within the transaction of what they tell of; the queue sends them when that has ended. What
 * only their readers may see is encrypted there, and gone once they are sent.
 */
final readonly class QueuedMailer implements Mailer
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function send(array $letters): void
    {
        $stamp = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp());
        $laid = 0;
        // An address that says that there is nobody (RFC 2606).
        $letters = array_values(array_filter($letters, static fn (Letter $letter): bool => ! str_ends_with($letter->to, '.invalid')));
        foreach (array_chunk($letters, 100) as $some) {
            $laid += Message::query()->insertOrIgnore(array_map(static fn (Letter $letter): array => [
                'person_id' => $letter->personId, 'to' => $letter->to, 'subject' => $letter->subject, 'body' => $letter->shownBody(), 'once' => $letter->once,
                'kind' => $letter->kind, 'stop' => $letter->stop, 'sealed' => $letter->secret === null ? null : Crypt::encryptString($letter->body),
                'state' => 'waiting', 'due_at' => $stamp, 'written_at' => $stamp,
            ], $some));
        }
        if ($laid > 0) {
            // Not before it is sure that they were meant.
            DB::afterCommit(static fn () => SendLetters::dispatch());
        }
    }
}
