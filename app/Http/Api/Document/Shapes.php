<?php

declare(strict_types=1);

namespace App\Http\Api\Document;

use OpenApi\Annotations\OpenApi;
use OpenApi\Attributes\Schema;
use OpenApi\Generator;
use OpenApi\Loggers\DefaultLogger;
use ReflectionClass;

/** JSON Schemas of the classes that are sent and taken, from their attributes, with the words of their docblocks. */
final readonly class Shapes
{
    /**
     * @param  list<class-string>  $classes
     * @return array<string, array<string, mixed>> by name: those, and all that they consist of
     */
    public function of(array $classes): array
    {
        $all = self::all();
        $wanted = array_map(self::nameOf(...), $classes);
        $found = [];
        while ($wanted !== []) {
            $name = array_shift($wanted);
            if (! isset($found[$name])) {
                $found[$name] = $all[$name] ?? throw new \LogicException("{$name} has no schema.");
                preg_match_all('~"#/components/schemas/(\w+)"~', json_encode($found[$name], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), $refs);
                $wanted = [...$wanted, ...$refs[1]];
            }
        }
        ksort($found);

        return $found;
    }

    /** @param  class-string  $class */
    public static function nameOf(string $class): string
    {
        $named = ((new ReflectionClass($class))->getAttributes(Schema::class)[0] ?? null)?->getArguments()['schema'] ?? null;

        return is_string($named) ? $named : class_basename($class);
    }

    /** @return array<string, array<string, mixed>> */
    private static function all(): array
    {
        $generator = (new Generator(new DefaultLogger))->setVersion(OpenApi::VERSION_3_1_0);
        $document = json_decode((string) $generator->generate([app_path()], validate: false)?->toJson(), true, flags: JSON_THROW_ON_ERROR);
        $components = is_array($document) && is_array($document['components'] ?? null) ? $document['components'] : [];
        $shapes = [];
        foreach (is_array($components['schemas'] ?? null) ? $components['schemas'] : [] as $name => $schema) {
            /** @var array<string, mixed> $schema */
            $shapes[(string) $name] = $schema;
        }
        foreach (self::classes($generator) as $class) {
            $name = self::nameOf($class);
            if (isset($shapes[$name])) {
                $shapes[$name] = self::told($shapes[$name], new ReflectionClass($class));
            }
        }

        return $shapes;
    }

    /** @return list<class-string> those that have a schema */
    private static function classes(Generator $generator): array
    {
        $found = [];
        foreach (glob(app_path('{*/*,*/*/*,*/*/*/*}.php'), GLOB_BRACE) ?: [] as $file) {
            $class = 'App\\'.strtr(substr($file, strlen(app_path()) + 1, -4), '/', '\\');
            if (str_contains((string) file_get_contents($file), '#[OA\Schema') && class_exists($class)) {
                $found[] = $class;
            }
        }

        return $found;
    }

    /**
     * What its constructor needs is there; what its docblocks say is said.
     *
     * @param  array<string, mixed>  $schema
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private static function told(array $schema, ReflectionClass $class): array
    {
        $constructor = $class->getConstructor();
        $properties = is_array($schema['properties'] ?? null) ? $schema['properties'] : [];
        $isTaken = str_starts_with($class->getNamespaceName(), 'App\Http\Api\Inputs');
        $required = [];
        foreach ($constructor?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            if (! is_array($properties[$name] ?? null)) {
                continue;
            }
            // What is sent is always there, though it may be null.
            if (! $isTaken || ! $parameter->isOptional()) {
                $required[] = $name;
            }
            if (is_array($properties[$name]['enum'] ?? null) && in_array('null', (array) ($properties[$name]['type'] ?? []), true)) {
                $properties[$name]['enum'][] = null;
            }
            if (preg_match('/@param\s+\S.*?\s+\$'.$name.'\s+(?!\*\/)(\S.*?)\s*(?:\*\/)?$/m', (string) $constructor?->getDocComment(), $words) === 1) {
                $properties[$name]['description'] = ucfirst(trim($words[1])).'.';
            }
        }
        $doc = trim((string) preg_replace(['~^/\*\*~', '~\*/$~', '~^\s*\*\s?~m', '~^@.*$~ms', '~\{@see [^}]*\}~'], ['', '', '', '', ''], trim((string) $class->getDocComment())));

        return array_filter(['type' => $schema['type'] ?? 'object', 'description' => $doc === '' ? null : preg_replace('/\s+/', ' ', $doc), 'required' => $required === [] ? null : $required, 'properties' => $properties === [] ? null : $properties, 'additionalProperties' => $isTaken && ! isset($schema['additionalProperties']) ? false : null], static fn (mixed $one): bool => $one !== null) + $schema;
    }
}
