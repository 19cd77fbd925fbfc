<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Access\SchoolAddress;
use App\Http\Requests\BeginRequest;
use App\Models\School;
use App\School\BeginSchool;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

final class BeginCommand extends Command
{
    protected $signature = 'keep:begin {--name= : of the school} {--zone= : IANA time zone, such as Europe/Oslo} {--currency=EUR : of new offers} {--email= : of its administrator} {--administrator=Administrator : their name}';

    protected $description = 'Begin an empty school; what is not said here is asked on its first page. Does nothing where a school is already';

    public function handle(BeginSchool $begin): int
    {
        $school = School::query()->first();
        if ($school !== null && $school->begin_code === null) {
            $this->line('There is a school already; nothing was changed.');

            return self::SUCCESS;
        }
        $said = ['name' => $this->option('name'), 'zone' => $this->option('zone'), 'currency' => $this->option('currency'), 'email' => $this->option('email'), 'administrator' => $this->option('administrator'), 'password' => Str::password(16, symbols: false)];
        if ($said['name'] === null && $said['zone'] === null && $said['email'] === null) {
            // Nobody but who reads this line may say what is to be.
            $this->line('An empty school waits to be begun. Open '.SchoolAddress::of('begin', ['code' => $begin->wait()]));

            return self::SUCCESS;
        }
        $faults = Validator::make($said, BeginRequest::RULES, BeginRequest::refusals())->errors()->all();
        if ($faults !== []) {
            foreach ($faults as $fault) {
                $this->error($fault);
            }
            $this->line('Say --name, --zone and --email, or none of them: then they are asked on the first page.');

            return self::FAILURE;
        }
        $begin(array_map(static fn (mixed $value): string => is_string($value) ? $value : '', $said));
        $this->line("An empty school is ready, in {$said['zone']}. Sign in as {$said['email']} with the password {$said['password']}");

        return self::SUCCESS;
    }
}
