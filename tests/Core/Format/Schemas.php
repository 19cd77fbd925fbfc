<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use Opis\JsonSchema\Validator;

/** The published JSON Schemas. */
final class Schemas
{
    private static ?Validator $validator = null;

    public static function accepts(string $schema, mixed $document): bool
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            foreach (['plan', 'ask', 'answer'] as $name) {
                self::$validator->resolver()?->registerFile("urn:silent-keep:{$name}:1", dirname(__DIR__, 3)."/docs/formats/{$name}.schema.json");
            }
        }

        return self::$validator->validate($document, "urn:silent-keep:{$schema}:1")->isValid();
    }
}
