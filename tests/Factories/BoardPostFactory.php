<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\BoardPost;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something said on a board, now.
 *
 * @extends Factory<BoardPost>
 */
final class BoardPostFactory extends Factory
{
    use AtItem;
    use OfSomebody;

    protected $model = BoardPost::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'b',
            'text' => 'Said',
            'posted_at' => now(),
        ];
    }
}
