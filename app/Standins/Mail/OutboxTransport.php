<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use Psr\Clock\ClockInterface;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\MessageConverter;
use Symfony\Component\Mime\RawMessage;

/** The stand-in for a mail server: lays letters into {@see Postbox}, which only whoever has the machine can read. */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly Postbox $postbox, private readonly ClockInterface $clock)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox';
    }

    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        $this->postbox->put(self::email($original), $this->clock->now());
    }

    private static function email(RawMessage $message): Email
    {
        return $message instanceof \Symfony\Component\Mime\Message ? MessageConverter::toEmail($message) : throw new \LogicException('Letters are messages.');
    }
}
