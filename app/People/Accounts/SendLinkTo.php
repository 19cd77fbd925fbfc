<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\People\PeopleFinder;
use App\School\Letters\InTheirLanguage;
use App\Words\Say;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Sends a link to an address, where somebody has it: by the queue, so that not even the time of the answer tells who is known. */
final class SendLinkTo implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    public function __construct(private readonly string $email)
    {
    }

    public function handle(PeopleFinder $finder, SendSignInLink $links, InTheirLanguage $language): void
    {
        $person = $finder->byEmail($this->email);
        if ($person !== null) {
            $links([$language->say($person, static fn (): array => ['person' => $person, 'subject' => Say::text('letters.sign_in.subject'), 'before' => Say::text('letters.sign_in.before')])]);
        }
    }
}
