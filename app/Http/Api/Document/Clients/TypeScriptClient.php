<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

/** Writes a client in TypeScript, in one file that needs nothing but `fetch`, from the document that describes the interface. */
final class TypeScriptClient
{
    /** @param  array<string, mixed>  $document  decoded OpenAPI */
    public static function of(array $document): string
    {
        $types = '';
        foreach (Json::object(Json::object($document['components'] ?? null)['schemas'] ?? null) as $name => $schema) {
            $types .= "export type {$name} = ".self::type(Json::object($schema)).";\n\n";
        }
        $frame = (string) file_get_contents(resource_path('api/client.ts.txt'));

        return strtr($frame, ['/*TYPES*/' => rtrim($types), '/*METHODS*/' => rtrim(implode("\n", array_map(self::method(...), Call::all($document))))]);
    }

    private static function method(Call $call): string
    {
        $needed = array_values(array_filter($call->arguments, static fn (Argument $one): bool => $one->isNeeded));
        $more = array_values(array_filter($call->arguments, static fn (Argument $one): bool => ! $one->isNeeded));
        $signature = array_map(static fn (Argument $one): string => "{$one->name}: ".self::type($one->schema), $needed);
        if ($more !== []) {
            $signature[] = 'more: { '.implode('; ', array_map(static fn (Argument $one): string => "{$one->name}?: ".self::type($one->schema), $more)).' } = {}';
        }
        $value = static fn (Argument $one): string => $one->isNeeded ? $one->name : ($one->named === 'X-Experience-API-Version' ? "more.{$one->name} ?? '1.0.3'" : "more.{$one->name}");
        $parts = static fn (string $in): string => '{ '.implode(', ', array_map(static fn (Argument $one): string => "'{$one->named}': ".$value($one), array_values(array_filter($call->arguments, static fn (Argument $one): bool => $one->in === $in)))).' }';
        $isJson = str_contains($call->accepts, 'json');
        $returns = $call->answers === [] ? 'void' : ($isJson ? self::type($call->answers) : 'string');
        $send = "this.send('{$call->method}', '{$call->path}', {$parts('path')}, {$parts('query')}, {$parts('header')}".($call->takes === null ? ')' : ", body, '{$call->takes}')");
        $line = match (true) {
            $returns === 'void' => "await {$send};",
            $isJson => "return JSON.parse(await {$send}) as {$returns};",
            default => "return {$send};",
        };

        return "  /** {$call->summary}. */\n  async {$call->name}(".implode(', ', $signature)."): Promise<{$returns}> {\n    {$line}\n  }\n";
    }

    /** @param  array<string, mixed>  $schema */
    private static function type(array $schema): string
    {
        return self::names()->of($schema);
    }

    private static function names(): TypeNames
    {
        return new TypeNames(['integer' => 'number'], ' | ', 'unknown', static fn (string $of): string => "Array<{$of}>", static fn (string $of): string => "Record<string, {$of}>",
            static fn (array $members, bool $more): string => '{ '.implode('; ', $members).' }'.($more ? ' & Record<string, unknown>' : ''));
    }
}
