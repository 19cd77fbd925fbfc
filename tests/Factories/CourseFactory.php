<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Course;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A course of which nothing is published.
 *
 * @extends Factory<Course>
 */
final class CourseFactory extends Factory
{
    protected $model = Course::class;

    private static int $made = 0;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'key' => fn (): string => 'course-'.++self::$made,
        ];
    }
}
