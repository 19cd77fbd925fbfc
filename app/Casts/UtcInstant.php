<?php

declare(strict_types=1);

namespace App\Casts;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * Stores an instant as UTC to the second. Eloquent's own date casts write the wall-clock digits and drop
 * the offset, so that 14:00+02:00 would come back two hours late.
 *
 * @implements CastsAttributes<DateTimeImmutable, mixed>
 */
final class UtcInstant implements CastsAttributes
{
    private const FORMAT = 'Y-m-d H:i:s';

    public function get(Model $model, string $key, mixed $value, array $attributes): ?DateTimeImmutable
    {
        return is_string($value) ? new DateTimeImmutable($value, new DateTimeZone('UTC')) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return match (true) {
            $value === null => null,
            is_int($value) => gmdate(self::FORMAT, $value),
            $value instanceof DateTimeInterface => gmdate(self::FORMAT, $value->getTimestamp()),
            is_string($value) => gmdate(self::FORMAT, (new DateTimeImmutable($value, new DateTimeZone('UTC')))->getTimestamp()),
            default => throw new \InvalidArgumentException("{$key} is not an instant"),
        };
    }
}
