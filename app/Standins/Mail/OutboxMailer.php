<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Models\Message;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * The stand-in for mail: letters are laid out in the outbox, to be read there without what only their readers may see. As
 * they would arrive they are in {@see Postbox}, which only whoever has the machine can read.
 */
final readonly class OutboxMailer implements Mailer
{
    public function __construct(private ClockInterface $clock, private Postbox $postbox)
    {
    }

    public function send(array $letters): void
    {
        $now = $this->clock->now();
        $stamp = gmdate('Y-m-d H:i:s', $now->getTimestamp());
        $sent = [];
        foreach (array_chunk($letters, 100) as $some) {
            $known = Message::query()->whereIn('once', array_values(array_filter(array_map(static fn (Letter $letter): ?string => $letter->once, $some))))->pluck('once')->flip();
            $new = array_values(array_filter($some, static fn (Letter $letter): bool => $letter->once === null || ! $known->has($letter->once)));
            Message::query()->insertOrIgnore(array_map(static fn (Letter $letter): array => [
                'person_id' => $letter->personId, 'to' => $letter->to, 'subject' => $letter->subject, 'body' => $letter->shownBody(), 'once' => $letter->once, 'sent_at' => $stamp,
            ], $new));
            array_push($sent, ...$new);
        }
        if ($sent !== []) {
            // Not before it is sure that they were meant.
            DB::afterCommit(fn () => $this->postbox->put($sent, $now));
        }
    }
}
