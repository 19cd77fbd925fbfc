<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Words\Say;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Checks what is sent by the schemas of the document that describes the interface: what it says and what holds are the same. */
final class Schemas
{
    /** Offences that are told at once. */
    private const TOLD = 20;

    private const AT = 'silent-keep:///api.json';

    private static ?Validator $validator = null;

    /** What the document is, as it was generated: `php artisan keep:types` writes it. */
    public static function file(): string
    {
        return resource_path('api/v1.json');
    }

    /** @return list<array{pointer: string, detail: string}> empty where nothing is wrong */
    public static function errors(mixed $given, string $schema): array
    {
        $error = self::validator()->validate($given, self::AT."#/components/schemas/{$schema}")->error();
        $errors = $error === null ? [] : self::leaves($error);

        return array_slice(array_values(array_unique($errors, SORT_REGULAR)), 0, self::TOLD);
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            $validator = new Validator(max_errors: self::TOLD, stop_at_first_error: false);
            $validator->resolver()?->registerRaw((string) file_get_contents(self::file()), self::AT);
            self::$validator = $validator;
        }

        return self::$validator;
    }

    /** Another document has been written. */
    public static function forget(): void
    {
        self::$validator = null;
    }

    /** @return list<array{pointer: string, detail: string}> */
    private static function leaves(ValidationError $error): array
    {
        // Which of several it was meant to be is not known: what is wrong with each would only mislead.
        if ($error->subErrors() !== [] && ! in_array($error->keyword(), ['anyOf', 'oneOf'], true)) {
            return array_merge(...array_map(self::leaves(...), array_values($error->subErrors())));
        }
        $pointer = self::pointer($error->data()->fullPath());
        if ($error->keyword() === 'additionalProperties') {
            // Those that are known and wrong are named here too, and stand in the list already.
            return array_map(static fn (string $name): array => ['pointer' => $pointer.self::pointer([$name]), 'detail' => self::words($error)], self::unknown($error));
        }
        $missing = $error->keyword() === 'required' ? self::names($error->args()['missing'] ?? null) : [];

        return $missing === [] ? [['pointer' => $pointer, 'detail' => self::words($error)]] : array_map(static fn (string $name): array => ['pointer' => $pointer.self::pointer([$name]), 'detail' => self::words($error)], $missing);
    }

    /** @return list<string> */
    private static function unknown(ValidationError $error): array
    {
        $schema = $error->schema()->info()->data();
        $known = is_object($schema) && isset($schema->properties) ? array_keys((array) $schema->properties) : [];

        return array_values(array_diff(self::names($error->args()['properties'] ?? null), $known));
    }

    /** @return list<string> */
    private static function names(mixed $names): array
    {
        return array_values(array_filter(is_array($names) ? $names : [], is_string(...)));
    }

    /** @param  array<int|string>  $path */
    private static function pointer(array $path): string
    {
        return implode('', array_map(static fn (int|string $step): string => '/'.strtr((string) $step, ['~' => '~0', '/' => '~1']), $path));
    }

    private static function words(ValidationError $error): string
    {
        $one = static fn (mixed $value): string => is_array($value) ? implode(', ', array_map(static fn (mixed $of): string => is_scalar($of) ? (string) $of : '', $value)) : (is_scalar($value) ? (string) $value : '');
        $schema = $error->schema()->info()->data();
        $of = static fn (string $keyword): string => is_object($schema) && isset($schema->{$keyword}) ? $one($schema->{$keyword}) : '';

        return match ($error->keyword()) {
            'required' => Say::text('interface.refused.required'),
            'additionalProperties' => Say::text('interface.refused.unknown'),
            'type' => Say::text('interface.refused.type', ['type' => $of('type')]),
            'enum' => Say::text('interface.refused.enum', ['allowed' => $of('enum')]),
            'format' => Say::text('interface.refused.format', ['format' => $of('format')]),
            'minLength', 'minItems', 'minimum', 'maxLength', 'maxItems', 'maximum' => Say::text('interface.refused.'.strtolower($error->keyword()), ['limit' => $of($error->keyword())]),
            'uniqueItems' => Say::text('interface.refused.unique'),
            default => Say::text('interface.refused.other'),
        };
    }
}
