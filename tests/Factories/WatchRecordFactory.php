<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Medium;
use App\Models\WatchRecord;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Nothing of a video of sixteen seconds watched yet.
 *
 * @extends Factory<WatchRecord>
 */
final class WatchRecordFactory extends Factory
{
    use OfSomebody;

    protected $model = WatchRecord::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'course_id' => CourseFactory::new(),
            'item_key' => 'l',
            'length' => 16.0,
            'played' => '',
            'position' => 0.0,
            'spare' => 0.0,
            'heard_at' => now(),
        ];
    }

    public function watching(Medium $video): static
    {
        return $this->state(['course_id' => $video->course_id, 'item_key' => $video->item_key, 'medium_id' => $video->id]);
    }
}
