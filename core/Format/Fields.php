<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\LocalTime;

/**
 * One JSON object while it is read. A getter answers null where the key is left out, is null, or holds
 * something wrong; in the last case, and where a needed key is missing, the offence is noted.
 */
final readonly class Fields
{
    /** 9,999 years: later instants could not be written down. */
    public const MOST_DAYS = 3652058;

    private function __construct(private \stdClass $object, public string $pointer, public Offences $offences)
    {
    }

    public static function of(mixed $value, string $pointer, Offences $offences): ?self
    {
        if (! $value instanceof \stdClass) {
            $offences->add($pointer, 'must be an object, not '.self::describe($value));

            return null;
        }

        return new self($value, $pointer, $offences);
    }

    public function only(string ...$known): self
    {
        foreach ($this->names() as $name) {
            if (! in_array($name, $known, true)) {
                $this->offences->add($this->at($name), 'is not a key that stands here; known are '.implode(', ', $known));
            }
        }

        return $this;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->object)));
    }

    public function has(string $key): bool
    {
        return isset($this->object->{$key});
    }

    public function raw(string $key): mixed
    {
        return $this->object->{$key} ?? null;
    }

    public function at(string|int $key): string
    {
        return $this->pointer.'/'.Pointer::escape($key);
    }

    public function offend(string|int $key, string $message): void
    {
        $this->offences->add($this->at($key), $message);
    }

    public function needs(string ...$keys): self
    {
        foreach ($keys as $key) {
            if (! property_exists($this->object, $key)) {
                $this->offend($key, 'is missing');
            } elseif ($this->object->{$key} === null) {
                $this->offend($key, 'must not be null');
            }
        }

        return $this;
    }

    public function string(string $key): ?string
    {
        $value = $this->raw($key);

        return is_string($value) ? $value : $this->mistyped($key, $value, 'must be text');
    }

    public function bool(string $key, bool $default = false): bool
    {
        return $this->boolOrNull($key) ?? $default;
    }

    public function boolOrNull(string $key): ?bool
    {
        $value = $this->raw($key);

        return is_bool($value) ? $value : $this->mistyped($key, $value, 'must be true or false');
    }

    /** A number without a fraction, however it is written. */
    public function int(string $key, int $least, int $most): ?int
    {
        $value = $this->number($key);
        if ($value === null) {
            return null;
        }
        if (is_float($value) && $value === floor($value) && abs($value) <= 2 ** 53) {
            $value = (int) $value;
        }
        if (! is_int($value) || $value < $least || $value > $most) {
            $this->offend($key, "must be a whole number from {$least} to {$most}, not ".self::describe($value));

            return null;
        }

        return $value;
    }

    public function days(string $key): ?int
    {
        return $this->int($key, 0, self::MOST_DAYS);
    }

    public function number(string $key): int|float|null
    {
        $value = $this->raw($key);

        return is_int($value) || is_float($value) ? $value : $this->mistyped($key, $value, 'must be a number');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum  of strings
     * @return ?T
     */
    public function enum(string $key, string $enum): ?\BackedEnum
    {
        $value = $this->string($key);

        return $value === null ? null : $this->enumValue($this->at($key), $value, $enum);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum  of strings
     * @return list<T>
     */
    public function enums(string $key, string $enum): array
    {
        $cases = [];
        foreach ($this->strings($key) ?? [] as $index => $value) {
            $cases[] = $this->enumValue($this->at($key).'/'.$index, $value, $enum);
        }

        return array_values(array_filter($cases));
    }

    public function localTime(string $key): ?LocalTime
    {
        $text = $this->string($key);
        try {
            return $text === null ? null : LocalTime::parse($text);
        } catch (InvalidTime $e) {
            $this->offend($key, $e->getMessage());

            return null;
        }
    }

    /** @return ?list<mixed> */
    public function list(string $key): ?array
    {
        $value = $this->raw($key);

        return is_array($value) ? array_values($value) : $this->mistyped($key, $value, 'must be a list');
    }

    /** @return ?array<int, string> by its index in the document; what is no text is left out and noted */
    public function strings(string $key): ?array
    {
        $list = $this->list($key);
        if ($list === null) {
            return null;
        }
        $strings = [];
        foreach ($list as $index => $value) {
            if (is_string($value)) {
                $strings[$index] = $value;
            } else {
                $this->offences->add($this->at($key).'/'.$index, 'must be text, not '.self::describe($value));
            }
        }

        return $strings;
    }

    public function object(string $key): ?self
    {
        $value = $this->raw($key);

        return $value === null ? null : self::of($value, $this->at($key), $this->offences);
    }

    /** @return list<self> */
    public function objects(string $key): array
    {
        $objects = [];
        foreach ($this->list($key) ?? [] as $index => $value) {
            $objects[] = self::of($value, $this->at($key).'/'.$index, $this->offences);
        }

        return array_values(array_filter($objects));
    }

    /**
     * As objects(), for a first pass that leaves what is wrong to the second.
     *
     * @return list<self>
     */
    public function objectsInSilence(string $key): array
    {
        $list = $this->raw($key);
        $objects = [];
        foreach (is_array($list) ? array_values($list) : [] as $index => $value) {
            if ($value instanceof \stdClass) {
                $objects[] = new self($value, $this->at($key).'/'.$index, $this->offences);
            }
        }

        return $objects;
    }

    public static function describe(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value), is_float($value) => 'the number '.json_encode($value),
            is_string($value) => 'the text '.json_encode(mb_strimwidth($value, 0, 60, '…'), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            is_array($value) => 'a list',
            default => 'an object',
        };
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return ?T
     */
    private function enumValue(string $pointer, string $value, string $enum): ?\BackedEnum
    {
        $case = $enum::tryFrom($value);
        if ($case === null) {
            $known = array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());
            $this->offences->add($pointer, 'must be one of '.implode(', ', $known).', not '.self::describe($value));
        }

        return $case;
    }

    private function mistyped(string $key, mixed $value, string $otherwise): null
    {
        if ($value !== null) {
            $this->offend($key, $otherwise.', not '.self::describe($value));
        }

        return null;
    }
}
