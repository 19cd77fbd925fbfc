<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\ObserverTie;
use App\Models\Person;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Two people of whom one looks in on the other.
 *
 * @extends Factory<ObserverTie>
 */
final class ObserverTieFactory extends Factory
{
    protected $model = ObserverTie::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'observer_id' => PersonFactory::new(),
            'learner_id' => PersonFactory::new(),
        ];
    }

    public function between(Person $observer, Person $learner): static
    {
        return $this->state(['observer_id' => $observer->id, 'learner_id' => $learner->id]);
    }
}
