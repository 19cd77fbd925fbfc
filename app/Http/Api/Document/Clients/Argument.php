<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

/** Something that a method of a client is given. */
final readonly class Argument
{
    /** What one of the languages keeps for itself. */
    private const RESERVED = ['import', 'default', 'class', 'function', 'new', 'return', 'this'];

    /**
     * @param  string  $name  as the client has it: `idempotencyKey`
     * @param  string  $named  as the interface has it: `Idempotency-Key`
     * @param  string  $in  path, query, header or body
     * @param  array<string, mixed>  $schema
     */
    public function __construct(public string $name, public string $named, public string $in, public array $schema, public bool $isNeeded, public string $says)
    {
    }

    /** @param  array<string, mixed>  $parameter */
    public static function ofParameter(array $parameter): self
    {
        $named = Json::text($parameter['name'] ?? null);
        $name = lcfirst(str_replace(' ', '', ucwords(strtr($named, '-_', '  '))));

        $name = in_array($name, self::RESERVED, true) ? "{$name}Id" : $name;

        return new self(str_starts_with($named, 'X-') ? 'xapiVersion' : $name, $named, Json::text($parameter['in'] ?? null), Json::object($parameter['schema'] ?? null), ($parameter['required'] ?? false) === true && ! str_starts_with($named, 'X-'), Json::text($parameter['description'] ?? null));
    }
}
