<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Content;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A lesson of one line.
 *
 * @extends Factory<Content>
 */
final class ContentFactory extends Factory
{
    use AtItem;

    protected $model = Content::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'text' => 'Words',
        ];
    }
}
