<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\SharedNotice;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A shared notice that was published.
 *
 * @extends Factory<SharedNotice>
 */
final class SharedNoticeFactory extends Factory
{
    protected $model = SharedNotice::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['name' => 'Shared', 'live' => ['heading' => 'Shared heading', 'titled' => true, 'text' => 'Shared words.', 'parts' => null]];
    }
}
