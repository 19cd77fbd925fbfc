<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\QuizTry;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A quiz passed in full, now.
 *
 * @extends Factory<QuizTry>
 */
final class QuizTryFactory extends Factory
{
    use AtItem;
    use OfSomebody;

    protected $model = QuizTry::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'score' => 1.0,
            'answers' => [],
            'tried_at' => now(),
        ];
    }
}
