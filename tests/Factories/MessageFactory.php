<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Message;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A letter that was sent now.
 *
 * @extends Factory<Message>
 */
final class MessageFactory extends Factory
{
    use OfSomebody;

    protected $model = Message::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'to' => 'crew@elsewhere.test',
            'subject' => 'A letter',
            'body' => 'x',
            'written_at' => now(),
        ];
    }
}
