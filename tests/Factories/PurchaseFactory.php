<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Purchase;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something that cost nothing, bought now.
 *
 * @extends Factory<Purchase>
 */
final class PurchaseFactory extends Factory
{
    use OfSomebody;

    protected $model = Purchase::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'cents' => 0,
            'currency' => 'EUR',
            'bought_at' => now(),
        ];
    }
}
