<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

use Closure;

/** Names types as a language does, from their JSON Schemas. */
final readonly class TypeNames
{
    /**
     * @param  array<string, string>  $simple  by the type of JSON; those that are not named go by the same name
     * @param  string  $or  between types of which it is one
     * @param  string  $anything  of what no type is said
     * @param  Closure(string): string  $list  of things of a type
     * @param  Closure(string): string  $map  from texts to things of a type
     * @param  Closure(list<string>, bool): string  $shape  of members, `name: type` or `name?: type`, and whether there may be others
     */
    public function __construct(private array $simple, private string $or, private string $anything, private Closure $list, private Closure $map, private Closure $shape)
    {
    }

    /** @param  array<string, mixed>  $schema */
    public function of(array $schema): string
    {
        if (isset($schema['$ref'])) {
            return basename(Json::text($schema['$ref']));
        }
        if (isset($schema['oneOf'])) {
            return implode($this->or, array_map(fn (mixed $one): string => $this->of(Json::object($one)), Json::list($schema['oneOf'])));
        }
        $enum = array_values(array_filter(Json::list($schema['enum'] ?? null), is_string(...)));
        $named = array_map(fn (string $type): string => match (true) {
            $type === 'string' && $enum !== [] => implode($this->or, array_map(static fn (string $one): string => "'{$one}'", $enum)),
            $type === 'array' => ($this->list)($this->of(Json::object($schema['items'] ?? null))),
            $type === 'object' => $this->object($schema),
            default => $this->simple[$type] ?? $type,
        }, Json::types($schema));

        return $named === [] ? $this->anything : implode($this->or, $named);
    }

    /** @param  array<string, mixed>  $schema */
    private function object(array $schema): string
    {
        $properties = Json::object($schema['properties'] ?? null);
        $others = $schema['additionalProperties'] ?? null;
        if ($properties === []) {
            return ($this->map)(is_array($others) ? $this->of(Json::object($others)) : $this->anything);
        }
        $needed = Json::list($schema['required'] ?? null);

        return ($this->shape)(array_map(fn (string $name, mixed $of): string => $name.(in_array($name, $needed, true) ? '' : '?').': '.$this->of(Json::object($of)), array_keys($properties), $properties), $others === true);
    }
}
