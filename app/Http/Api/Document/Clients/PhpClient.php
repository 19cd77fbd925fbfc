<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

/** Writes a client in PHP, in one file that needs nothing but PHP 8.1 with cURL, from the document that describes the interface. */
final class PhpClient
{
    /** @param  array<string, mixed>  $document  decoded OpenAPI */
    public static function of(array $document): string
    {
        $methods = implode("\n", array_map(self::method(...), Call::all($document)));
        $frame = (string) file_get_contents(resource_path('api/client.php.txt'));

        return strtr($frame, ['/*TYPES*/' => self::types($document), '/*METHODS*/' => rtrim($methods)]);
    }

    /** @param  array<string, mixed>  $document */
    private static function types(array $document): string
    {
        $lines = '';
        foreach (Json::object(Json::object($document['components'] ?? null)['schemas'] ?? null) as $name => $schema) {
            $lines .= " * @phpstan-type {$name} ".self::type(Json::object($schema))."\n";
        }

        return rtrim($lines);
    }

    private static function method(Call $call): string
    {
        $arguments = array_map(static fn (Argument $one): string => self::native($one).' $'.$one->name.($one->isNeeded ? '' : ($one->named === 'X-Experience-API-Version' ? " = '1.0.3'" : ' = null')), $call->arguments);
        $docs = array_map(static fn (Argument $one): string => '     * @param  '.self::type($one->schema).($one->isNeeded || $one->named === 'X-Experience-API-Version' ? '' : '|null')."  \${$one->name}".($one->says === '' ? '' : "  {$one->says}"), $call->arguments);
        $parts = static fn (string $in): string => '['.implode(', ', array_map(static fn (Argument $one): string => "'{$one->named}' => \${$one->name}", array_values(array_filter($call->arguments, static fn (Argument $one): bool => $one->in === $in)))).']';
        $isJson = str_contains($call->accepts, 'json');
        $returns = $call->answers === [] ? 'void' : ($isJson ? 'array' : 'string');
        $docs[] = $returns === 'array' ? '     * @return '.self::type($call->answers) : null;
        $docs[] = '     * @throws SilentKeepProblem if it is refused';
        $send = "\$this->send('{$call->method}', '{$call->path}', {$parts('path')}, {$parts('query')}, {$parts('header')}, ".($call->takes === null ? 'null, null' : "\$body, '{$call->takes}'").')';
        $line = match ($returns) {
            'array' => '/** @var '.self::type($call->answers)." */\n        return self::json({$send});",
            'string' => "return {$send};",
            default => "{$send};",
        };

        return "    /**\n     * {$call->summary}.\n     *\n".implode("\n", array_filter($docs))."\n     */\n    public function {$call->name}(".implode(', ', $arguments)."): {$returns}\n    {\n        {$line}\n    }\n";
    }

    private static function native(Argument $argument): string
    {
        $types = Json::types($argument->schema);
        $native = match (true) {
            $argument->in === 'body' => in_array('string', $types, true) ? 'string' : 'array',
            in_array('integer', $types, true) => 'int',
            in_array('boolean', $types, true) => 'bool',
            default => 'string',
        };

        return ($argument->isNeeded || $argument->named === 'X-Experience-API-Version' ? '' : '?').$native;
    }

    /** @param  array<string, mixed>  $schema */
    private static function type(array $schema): string
    {
        if (isset($schema['$ref'])) {
            return basename(Json::text($schema['$ref']));
        }
        if (isset($schema['oneOf'])) {
            return implode('|', array_map(static fn (mixed $one): string => self::type(Json::object($one)), Json::list($schema['oneOf'])));
        }
        $enum = array_values(array_filter(Json::list($schema['enum'] ?? null), is_string(...)));
        $named = array_map(static fn (string $type): string => match (true) {
            $type === 'string' && $enum !== [] => implode('|', array_map(static fn (string $one): string => "'{$one}'", $enum)),
            $type === 'integer' => 'int',
            $type === 'boolean' => 'bool',
            $type === 'number' => 'float',
            $type === 'array' => 'list<'.self::type(Json::object($schema['items'] ?? null)).'>',
            $type === 'object' => self::shape($schema),
            default => $type,
        }, Json::types($schema));

        return $named === [] ? 'mixed' : implode('|', $named);
    }

    /** @param  array<string, mixed>  $schema */
    private static function shape(array $schema): string
    {
        $properties = Json::object($schema['properties'] ?? null);
        $needed = Json::list($schema['required'] ?? null);
        if ($properties === []) {
            return isset($schema['additionalProperties']) && is_array($schema['additionalProperties']) ? 'array<string, '.self::type(Json::object($schema['additionalProperties'])).'>' : 'array<string, mixed>';
        }
        $members = array_map(static fn (string $name, mixed $of): string => $name.(in_array($name, $needed, true) ? '' : '?').': '.self::type(Json::object($of)), array_keys($properties), $properties);

        return 'array{'.implode(', ', $members).(($schema['additionalProperties'] ?? null) === true ? ', ...' : '').'}';
    }
}
