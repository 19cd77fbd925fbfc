<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Models\Language;
use App\Models\Person;
use App\School\Letters\InTheirLanguage;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Str;

/**
 * Lets somebody in who gives a name and an address, on the device where they do. What they get there is theirs alone once
 * they use the link in the letter that is sent to that address; until then nothing of anybody's account is theirs, and
 * nobody learns whether there is one.
 */
final readonly class OpenAccount
{
    public function __construct(private SendSignInLink $links, private ActivityLog $log, private InTheirLanguage $language)
    {
    }

    /**
     * They read the language that is spoken now.
     *
     * @param  Closure(): string  $why  for the letter, and for the history
     */
    public function __invoke(string $name, string $email, Closure $why): Person
    {
        return DB::transaction(function () use ($name, $email, $why): Person {
            $reads = Language::tryFrom(Lang::getLocale());
            $person = Person::query()->create(['name' => trim($name), 'language' => $reads === $this->language->of(null) ? null : $reads, 'email' => strtolower((string) Str::ulid()).'@unconfirmed.invalid', 'claimed_email' => mb_strtolower(trim($email))]);
            $this->log->note('person.made', null, person: $person, after: ['by' => InTheirLanguage::in(Language::English, $why)]);
            ($this->links)([['person' => $person, 'subject' => Say::text('letters.address.subject'), 'before' => Say::text('letters.address.before', ['why' => $why()])]]);

            return $person;
        });
    }
}
