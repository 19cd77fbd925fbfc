<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Access\SchoolClock;
use App\Models\Person;
use App\Models\Role;
use App\School\Tokens\Ability;
use App\School\Tokens\MakeToken;
use Illuminate\Console\Command;

/** As the page of tokens makes one; for whoever sets systems up without a browser. */
final class TokenCommand extends Command
{
    protected $signature = 'keep:token {name : of the system that asks} {--may=* : an ability, several times; left out: those are listed} {--days=365 : until it ends} {--email= : of the administrator as whom it asks; left out: the first}';

    protected $description = 'Make a token with which a system of others may ask';

    public function handle(MakeToken $make, SchoolClock $clock): int
    {
        $abilities = array_map(static fn (mixed $named): ?Ability => Ability::tryFrom(is_string($named) ? $named : ''), (array) $this->option('may'));
        $known = array_values(array_filter($abilities));
        if ($known === [] || count($known) < count($abilities)) {
            $this->error('Say what it may: --may='.implode(', --may=', array_column(Ability::cases(), 'value')));

            return self::FAILURE;
        }
        $email = $this->option('email');
        $owner = Person::query()->where('role', Role::Administrator)->when(is_string($email), static fn ($query) => $query->where('email', $email))->orderBy('id')->first();
        $days = $this->option('days');
        if ($owner === null || ! is_string($days) || preg_match('/^[1-9]\d{0,3}$/D', $days) !== 1) {
            $this->error($owner === null ? 'Nobody who runs the school has this address.' : 'Days are a whole number from 1 to 9999.');

            return self::FAILURE;
        }
        $name = $this->argument('name');
        $this->line($make($owner, mb_substr($name, 0, 100), $known, $clock->plusDays($clock->now(), (int) $days))[1]);

        return self::SUCCESS;
    }
}
