<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Person;
use App\Models\Role;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Somebody with an address of their own, who holds nothing.
 *
 * @extends Factory<Person>
 */
final class PersonFactory extends Factory
{
    protected $model = Person::class;

    private static int $made = 0;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Crew '.++self::$made,
            'email' => fn (): string => 'crew'.self::$made.'@elsewhere.test',
        ];
    }

    public function called(string $name, string $email): static
    {
        return $this->state(['name' => $name, 'email' => $email]);
    }

    public function administrator(): static
    {
        return $this->state(['role' => Role::Administrator]);
    }
}
