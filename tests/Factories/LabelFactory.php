<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Label;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A label held since ever, for good.
 *
 * @extends Factory<Label>
 */
final class LabelFactory extends Factory
{
    use OfSomebody;

    protected $model = Label::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'label' => 'crew',
        ];
    }
}
