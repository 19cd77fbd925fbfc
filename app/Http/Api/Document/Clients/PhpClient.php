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
        return self::names()->of($schema);
    }

    private static function names(): TypeNames
    {
        return new TypeNames(['integer' => 'int', 'boolean' => 'bool', 'number' => 'float'], '|', 'mixed', static fn (string $of): string => "list<{$of}>", static fn (string $of): string => "array<string, {$of}>",
            static fn (array $members, bool $more): string => 'array{'.implode(', ', $members).($more ? ', ...' : '').'}');
    }
}
