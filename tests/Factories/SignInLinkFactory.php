<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\SignInLink;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A link that was sent and can be used for an hour.
 *
 * @extends Factory<SignInLink>
 */
final class SignInLinkFactory extends Factory
{
    use OfSomebody;

    protected $model = SignInLink::class;

    private static int $made = 0;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'person_id' => PersonFactory::new(),
            'token_hash' => fn (): string => 'token-'.++self::$made,
            'expires_at' => now()->addHour(),
        ];
    }
}
