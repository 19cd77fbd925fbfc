<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolClock;
use App\Models\Message;

/** Letters that were sent, the latest first. */
final readonly class OutboxPageBuilder
{
    private const PER_PAGE = 50;

    public function __construct(private SchoolClock $clock)
    {
    }

    public function page(int $page): OutboxPage
    {
        $total = Message::query()->count();
        $letters = [];
        foreach (Message::query()->orderByDesc('id')->forPage($page, self::PER_PAGE)->get() as $message) {
            $letters[] = new SentLetter($message->id, $message->person_id, $message->to, $message->subject, $message->body, $this->clock->words($message->written_at->getTimestamp()), $message->state, $message->problem);
        }

        return new OutboxPage($letters, $total, $page, max(1, (int) ceil($total / self::PER_PAGE)));
    }
}
