<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Person;
use App\Models\Role;
use App\Models\School;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

final class BeginCommand extends Command
{
    protected $signature = 'keep:begin {--name=My school} {--zone=Europe/Oslo} {--email=admin@school.test}';

    protected $description = 'Begin an empty school with one administrator; does nothing where a school is already';

    public function handle(): int
    {
        if (School::query()->exists()) {
            $this->line('There is a school already; nothing was changed.');

            return self::SUCCESS;
        }
        $password = Str::password(14, symbols: false);
        DB::transaction(function () use ($password): void {
            School::query()->create(['name' => $this->option('name'), 'zone' => $this->option('zone')]);
            Person::query()->create(['name' => 'Administrator', 'email' => $this->option('email'), 'password' => $password, 'role' => Role::Administrator]);
        });
        $this->line('An empty school is ready. Sign in as '.(string) $this->option('email').' with the password '.$password);

        return self::SUCCESS;
    }
}
