<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Models\Person;
use App\Models\SignInLink;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Uses a link up by which somebody signs in. */
final readonly class RedeemSignInLink
{
    public function __construct(private ClockInterface $clock, private ConfirmAddress $confirm)
    {
    }

    /** Whose link it is; null where it was used, is over or never was. */
    public function owner(string $token): ?Person
    {
        return $this->link($token)?->person;
    }

    /** Who is to be signed in by it. All other links of theirs are over with it. */
    public function __invoke(string $token): ?Person
    {
        return DB::transaction(function () use ($token): ?Person {
            $link = $this->link($token);
            if ($link === null) {
                return null;
            }
            SignInLink::query()->where('person_id', $link->person_id)->whereNull('used_at')->update(['used_at' => gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp())]);

            return $link->person->isConfirmed() ? $link->person : ($this->confirm)($link->person);
        });
    }

    private function link(string $token): ?SignInLink
    {
        return SignInLink::query()->with('person')->where('token_hash', hash('sha256', $token))->whereNull('used_at')
            ->where('expires_at', '>', gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp()))->first();
    }
}
