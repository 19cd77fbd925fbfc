<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Grant;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something handed out from now on, for good.
 *
 * @extends Factory<Grant>
 */
final class GrantFactory extends Factory
{
    use AtItem;
    use OfSomebody;

    protected $model = Grant::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'starts_at' => now(),
            'ends_at' => null,
        ];
    }
}
