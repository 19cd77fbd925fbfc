<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Database\Dialects;
use App\Models\Message;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Sender;
use Illuminate\Database\Eloquent\Builder;

/** Letters that were sent, the latest first. */
final readonly class OutboxPageBuilder
{
    private const PER_PAGE = 50;

    public function __construct(private SchoolClock $clock, private SchoolOf $school)
    {
    }

    /**
     * @param  ?string  $find  part of an address or a subject; null: all
     * @param  ?string  $state  null: all
     */
    public function page(int $page, ?string $find, ?string $state): OutboxPage
    {
        $total = self::letters($find, $state)->count();
        $from = (string) Sender::of(($this->school)());
        $letters = [];
        foreach (self::letters($find, $state)->orderByDesc('id')->forPage($page, self::PER_PAGE)->get() as $message) {
            $again = $message->state === 'failed' || ($message->state === 'sent' && Letter::isWhole($message->body));
            $letters[] = new SentLetter($message->id, $message->person_id, $message->to, $message->subject, $message->body, $this->clock->words($message->written_at->getTimestamp()), $message->state, $message->problem, $from, $again, $message->tries);
        }

        return new OutboxPage($letters, $find, $state, $total, $page, max(1, (int) ceil($total / self::PER_PAGE)));
    }

    /** @return Builder<Message> */
    private static function letters(?string $find, ?string $state): Builder
    {
        $dialect = Dialects::spoken();
        $part = '%'.addcslashes((string) $find, '%_\\').'%';

        return Message::query()->when($state !== null, static fn (Builder $query) => $query->where('state', $state))
            ->when($find !== null, static fn (Builder $query) => $query->where(static fn (Builder $of) => $of->whereRaw($dialect->like('"to"'), [$part])->orWhereRaw($dialect->like('subject'), [$part])));
    }
}
