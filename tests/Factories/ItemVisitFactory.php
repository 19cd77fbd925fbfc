<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\ItemVisit;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A look at an item, now, by a pass.
 *
 * @extends Factory<ItemVisit>
 */
final class ItemVisitFactory extends Factory
{
    use AtItem;
    use OfSomebody;

    protected $model = ItemVisit::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'via' => 'pass',
            'first_at' => now(),
            'last_at' => now(),
        ];
    }
}
