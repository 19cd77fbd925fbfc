<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Bundle;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A bundle of nothing yet, for one whole unit of the currency.
 *
 * @extends Factory<Bundle>
 */
final class BundleFactory extends Factory
{
    protected $model = Bundle::class;

    private static int $made = 0;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'key' => fn (): string => 'bundle-'.++self::$made,
            'name' => 'Both',
            'price' => 100,
        ];
    }
}
