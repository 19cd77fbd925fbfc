<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Models\Message;
use Psr\Clock\ClockInterface;

/** The stand-in for mail: letters are laid out in the outbox, to be read there. */
final readonly class OutboxPost implements Post
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function send(array $letters): void
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp());
        foreach (array_chunk($letters, 100) as $some) {
            Message::query()->insertOrIgnore(array_map(static fn (Letter $letter): array => [
                'person_id' => $letter->personId, 'to' => $letter->to, 'subject' => $letter->subject, 'body' => $letter->body, 'once' => $letter->once, 'sent_at' => $now,
            ], $some));
        }
    }
}
