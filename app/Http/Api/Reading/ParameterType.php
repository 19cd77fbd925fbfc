<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

/** What a parameter of an address is. */
enum ParameterType
{
    case Text;
    case Number;
    /** RFC 3339 with an offset. */
    case Instant;
    case Flag;

    /** @return array<string, mixed> JSON Schema */
    public function schema(): array
    {
        return match ($this) {
            self::Text => ['type' => 'string', 'minLength' => 1, 'maxLength' => 2000],
            self::Number => ['type' => 'integer', 'minimum' => 1, 'maximum' => 2_147_483_647],
            self::Instant => ['type' => 'string', 'format' => 'date-time'],
            self::Flag => ['type' => 'boolean'],
        };
    }
}
