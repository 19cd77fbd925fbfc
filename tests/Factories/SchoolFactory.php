<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\School;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A school in UTC.
 *
 * @extends Factory<School>
 */
final class SchoolFactory extends Factory
{
    protected $model = School::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'A school',
            'zone' => 'UTC',
        ];
    }

    public function in(string $zone): static
    {
        return $this->state(['zone' => $zone]);
    }
}
