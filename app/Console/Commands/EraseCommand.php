<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Person;
use App\Privacy\Erasing\CannotErase;
use App\Privacy\Erasing\ErasePerson;
use Illuminate\Console\Command;

final class EraseCommand extends Command
{
    protected $signature = 'keep:erase {person : number or address} {--yes : without being asked}';

    protected $description = 'Erase somebody for good: who they are, their words, and where else they are named';

    public function handle(ErasePerson $erase): int
    {
        $named = (string) $this->argument('person');
        $person = Person::query()->where(ctype_digit($named) ? 'id' : 'email', ctype_digit($named) ? (int) $named : mb_strtolower($named))->first();
        if ($person === null) {
            $this->error('There is nobody of that number or address.');

            return self::FAILURE;
        }
        if ($this->option('yes') !== true && ! $this->confirm("Erase {$person->name} ({$person->address()}) for good?")) {
            $this->line('Nothing was changed.');

            return self::FAILURE;
        }
        try {
            $erase($person, null);
        } catch (CannotErase $cannot) {
            $this->error($cannot->getMessage());

            return self::FAILURE;
        }
        $this->line("Person {$person->id} is erased; the queue looks for traces.");

        return self::SUCCESS;
    }
}
