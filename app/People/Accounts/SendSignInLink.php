<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Access\SchoolAddress;
use App\Models\Person;
use App\Models\SignInLink;
use App\School\Letters\InTheirLanguage;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Words\Say;
use Psr\Clock\ClockInterface;

/** Sends people a link by which they sign in without a password, once. */
final readonly class SendSignInLink
{
    private const DAYS = 14;

    public function __construct(private ClockInterface $clock, private Mailer $mailer, private InTheirLanguage $language)
    {
    }

    /**
     * @param  list<array{person: Person, subject: string, before: string, once?: string, whole?: true}>  $letters  to whom, and what is said before the link; whole: with how they are addressed
     */
    public function __invoke(array $letters): void
    {
        $expires = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() + self::DAYS * 86400);
        $links = $out = [];
        foreach ($letters as $letter) {
            ['person' => $person, 'subject' => $subject, 'before' => $before] = $letter;
            // What is kept cannot be used by whoever reads it.
            $token = bin2hex(random_bytes(20));
            $address = SchoolAddress::of('sign-in.link', $token);
            $links[] = ['person_id' => $person->id, 'token_hash' => hash('sha256', $token), 'expires_at' => $expires];
            $out[] = new Letter($person->id, $person->address(), $subject, $this->language->say($person, static fn (): string => Say::text('letters.link', ['before' => isset($letter['whole']) ? $before : Say::text('letters.dear', ['name' => $person->name, 'before' => $before]), 'days' => self::DAYS, 'address' => $address])), $letter['once'] ?? null, secret: $address);
        }
        foreach (array_chunk($links, 200) as $some) {
            SignInLink::query()->insert($some);
        }
        $this->mailer->send($out);
    }
}
