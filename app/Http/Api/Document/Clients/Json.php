<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

/** Parts of decoded JSON, as what they are meant to be; nothing where they are something else. */
final class Json
{
    /** @return array<string, mixed> */
    public static function object(mixed $value): array
    {
        $members = [];
        foreach (is_array($value) ? $value : [] as $name => $member) {
            $members[(string) $name] = $member;
        }

        return $members;
    }

    /** @return list<mixed> */
    public static function list(mixed $value): array
    {
        return is_array($value) ? array_values($value) : [];
    }

    public static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<string> types of JSON that it may be
     */
    public static function types(array $schema): array
    {
        return array_values(array_filter(is_array($schema['type'] ?? null) ? $schema['type'] : [$schema['type'] ?? null], is_string(...)));
    }
}
