<?php

declare(strict_types=1);

namespace App\School;

use App\Access\SchoolOf;
use App\Models\Person;
use App\Models\Role;
use App\Models\School;
use App\School\Keeping\KeptDays;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Begins a school: its name, its zone, which is for good, its currency and its first administrator. */
final readonly class BeginSchool
{
    public function __construct(private ActivityLog $log, private SchoolOf $school)
    {
    }

    /** @return string a code that opens its first page; one that was given before does not any more */
    public function wait(): string
    {
        $code = bin2hex(random_bytes(16));
        School::query()->updateOrCreate([], ['name' => 'New school', 'zone' => 'UTC', 'begin_code' => hash('sha256', $code)]);
        $this->school->forget();

        return $code;
    }

    public function opens(string $code): bool
    {
        $waits = School::query()->value('begin_code');

        return is_string($waits) && hash_equals($waits, hash('sha256', $code));
    }

    /**
     * @param  array<string, string>  $said  name, zone, currency, administrator, email, password; validated
     * @return ?Person the administrator; null where it has begun already
     */
    public function __invoke(array $said): ?Person
    {
        return DB::transaction(function () use ($said): ?Person {
            if (School::query()->whereNull('begin_code')->exists()) {
                return null;
            }
            School::query()->updateOrCreate([], ['name' => $said['name'], 'zone' => $said['zone'], 'currency' => strtoupper($said['currency']), 'begin_code' => null, 'kept_days' => KeptDays::atFirst()]);
            $this->school->forget();
            $person = Person::query()->create(['name' => $said['administrator'], 'email' => mb_strtolower(trim($said['email'])), 'password' => $said['password'], 'role' => Role::Administrator]);
            $this->log->note('school.begun', $person, after: ['name' => $said['name'], 'zone' => $said['zone'], 'currency' => $said['currency']]);

            return $person;
        });
    }
}
