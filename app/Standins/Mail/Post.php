<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Models\LetterChoice;
use App\Models\Message;
use App\Models\School;
use Illuminate\Contracts\Mail\Mailer as LaravelMailer;
use Illuminate\Mail\Message as Mail;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/**
 * Takes letters from the outbox to Laravel's mailer. What does not go is tried again with growing waits, and given up at last;
 * a worker that is stopped in between may send one twice, under the same name, and loses none.
 */
final readonly class Post
{
    private const GROUP = 50;

    /** Seconds for which no other worker takes a letter that one has taken. */
    private const HELD = 300;

    /** Seconds until a letter is tried again, by how often it was. */
    private const WAITS = [60, 300, 1800, 7200, 21600];

    public function __construct(private ClockInterface $clock, private LaravelMailer $mailer)
    {
    }

    /** @return bool whether there are more */
    public function sendSome(): bool
    {
        $letters = $this->take();
        $from = Sender::of(School::query()->orderBy('id')->firstOrFail());
        foreach ($letters as $letter) {
            $this->send($letter, $from);
        }

        return $letters->count() === self::GROUP;
    }

    /** Whether any waits that is to be tried by now. */
    public function isDue(): bool
    {
        return Message::query()->where('state', 'waiting')->where('due_at', '<=', $this->stamp())->exists();
    }

    /**
     * Lets a letter be tried again that was given up, or go a second time. What only its reader could see is gone once it is sent: such
     * a one does not.
     *
     * @param  int  $tries  how often it was tried by the time that whoever asks saw it: a second click does nothing more
     */
    public function takeUpAgain(Message $letter, int $tries): bool
    {
        $again = Message::query()->whereKey($letter->id)->where('tries', $tries)->where('state', 'failed')->update(['state' => 'waiting', 'tries' => 0, 'due_at' => $this->stamp(), 'problem' => null]);
        if ($again === 0 && Letter::isWhole($letter->body)) {
            $again = Message::query()->whereKey($letter->id)->where('tries', $tries)->where('state', 'sent')->update(['state' => 'waiting', 'due_at' => $this->stamp()]);
        }

        return $again === 1;
    }

    /** @return Collection<int, Message> that no other worker takes meanwhile, and whose readers still want them */
    private function take(): Collection
    {
        return DB::transaction(function (): Collection {
            $due = Message::query()->where('state', 'waiting')->where('due_at', '<=', $this->stamp())->orderBy('due_at')->orderBy('id')->limit(self::GROUP)->get();
            if ($due->isEmpty()) {
                return $due->toBase();
            }
            $stopped = LetterChoice::query()->where('wanted', false)->whereIn('person_id', $due->pluck('person_id')->filter()->unique()->all())->get()->map(static fn (LetterChoice $choice): string => "{$choice->person_id} {$choice->kind}")->flip();
            $isStopped = static fn (Message $letter): bool => $letter->kind !== null && $stopped->has("{$letter->person_id} {$letter->kind}");
            [$unwanted, $wanted] = [$due->filter($isStopped), $due->reject($isStopped)];
            Message::query()->whereKey($unwanted->modelKeys())->update(['state' => 'stopped', 'sealed' => null, 'due_at' => null]);
            Message::query()->whereKey($wanted->modelKeys())->update(['due_at' => $this->stamp(self::HELD)]);

            return $wanted->toBase();
        });
    }

    private function send(Message $letter, Sender $from): void
    {
        try {
            $this->mailer->raw($letter->sealed === null ? $letter->body : Crypt::decryptString($letter->sealed), static function (Mail $mail) use ($letter, $from): void {
                $mail->from($from->address, $from->name)->to($letter->to)->subject($letter->subject);
                if ($from->reply !== null) {
                    $mail->replyTo($from->reply);
                }
                $headers = $mail->getSymfonyMessage()->getHeaders();
                // The same where a worker was stopped in between; another where it is sent a second time, which mail programs would not show else.
                $headers->addIdHeader('Message-ID', "letter-{$letter->id}".($letter->tries === 0 ? '' : "-{$letter->tries}").'@silent-keep.invalid');
                if ($letter->stop !== null) {
                    $headers->addTextHeader('List-Unsubscribe', "<{$letter->stop}>");
                    $headers->addTextHeader('List-Unsubscribe-Post', 'List-Unsubscribe=One-Click');
                }
            });
            $letter->update(['state' => 'sent', 'sealed' => null, 'due_at' => null, 'problem' => null, 'tries' => $letter->tries + 1]);
        } catch (TransportExceptionInterface|\Symfony\Component\Mime\Exception\ExceptionInterface $e) {
            $wait = self::WAITS[$letter->tries] ?? null;
            $letter->update(['state' => $wait === null ? 'failed' : 'waiting', 'tries' => $letter->tries + 1, 'due_at' => $wait === null ? null : $this->stamp($wait), 'problem' => mb_substr($e->getMessage(), 0, 250)]);
        }
    }

    private function stamp(int $later = 0): string
    {
        return gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() + $later);
    }
}
