<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Completion;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something finished now.
 *
 * @extends Factory<Completion>
 */
final class CompletionFactory extends Factory
{
    use AtItem;
    use OfSomebody;

    protected $model = Completion::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'completed_at' => now(),
        ];
    }
}
