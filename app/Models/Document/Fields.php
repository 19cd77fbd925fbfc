<?php

declare(strict_types=1);

namespace App\Models\Document;

/** What a JSON object of a document has, by its type; what is left out or of another type is not there. */
abstract readonly class Fields implements \JsonSerializable
{
    final public function __construct(protected \stdClass $json)
    {
    }

    /** Null where it is no object. */
    public static function of(mixed $value): ?static
    {
        return $value instanceof \stdClass ? new static($value) : null;
    }

    /**
     * @param  array<array-key, mixed>  $members  as the plan format has them, arrays by name for its objects
     */
    public static function from(array $members): static
    {
        return new static((new static((object) $members))->raw());
    }

    /** As the plan format has it; nothing in it is shared. */
    public function raw(): \stdClass
    {
        $copy = json_decode((string) json_encode($this->json, JSON_PRESERVE_ZERO_FRACTION));

        return $copy instanceof \stdClass ? $copy : new \stdClass;
    }

    public function jsonSerialize(): \stdClass
    {
        return $this->json;
    }

    /** @return list<string> names of what is said at all */
    public function members(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->json)));
    }

    /** As the plan format has it; null: not said. */
    public function member(string $name): mixed
    {
        return $this->json->{$name} ?? null;
    }

    /**
     * @param  list<string>  $except
     * @return array<array-key, string> what is said, as JSON, by its name
     */
    public function told(array $except = []): array
    {
        $told = [];
        foreach (get_object_vars($this->json) as $name => $value) {
            if ($value !== null && ! in_array($name, $except, true)) {
                $told[$name] = json_encode($value, JSON_THROW_ON_ERROR);
            }
        }

        return $told;
    }

    /** Whether both are the same, member by member; what is not there is like nothing else. */
    public static function same(?self $one, ?self $other): bool
    {
        return json_encode($one?->json) === json_encode($other?->json);
    }

    protected function text(string $field): ?string
    {
        $value = $this->json->{$field} ?? null;

        return is_string($value) ? $value : null;
    }

    protected function bool(string $field): ?bool
    {
        $value = $this->json->{$field} ?? null;

        return is_bool($value) ? $value : null;
    }

    protected function int(string $field): ?int
    {
        $value = $this->json->{$field} ?? null;

        return is_int($value) || is_float($value) ? (int) $value : null;
    }

    protected function float(string $field): ?float
    {
        $value = $this->json->{$field} ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /** @return ?list<string> */
    protected function texts(string $field): ?array
    {
        $value = $this->json->{$field} ?? null;

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : null;
    }

    protected function object(string $field): ?\stdClass
    {
        $value = $this->json->{$field} ?? null;

        return $value instanceof \stdClass ? $value : null;
    }

    /** @return list<\stdClass> */
    protected function objects(string $field): array
    {
        $value = $this->json->{$field} ?? null;

        return is_array($value) ? array_values(array_filter($value, static fn (mixed $one): bool => $one instanceof \stdClass)) : [];
    }
}
