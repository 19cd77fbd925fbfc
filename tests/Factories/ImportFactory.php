<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Import;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A file of people that was just sent.
 *
 * @extends Factory<Import>
 */
final class ImportFactory extends Factory
{
    protected $model = Import::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'kind' => 'csv',
            'name' => 'people.csv',
            'path' => 'none',
            'options' => [],
            'tally' => [],
            'errors' => [],
            'made_at' => now(),
        ];
    }
}
