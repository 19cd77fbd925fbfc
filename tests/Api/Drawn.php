<?php

declare(strict_types=1);

namespace Tests\Api;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Draws inputs from JSON Schemas: mostly such as fit, and such as nearly do. The same seed draws the same. */
final class Drawn
{
    private const TEXTS = ['', ' ', 'a', 'clinker', 'oars', 'l-planes', 'm-tools', 'taster', 'apprentice-pass', 'journeyman-pass', 'eira@alder.test', 'nobody@nowhere.test', 'spring', 'Å', "\u{0000}", "a\u{0000}b", '%00', '../../etc', "'; drop table people; --", '<b>', '{name}', '2026-03-09T08:00:00Z', '2026-02-30T00:00:00Z', '0000-00-00T00:00:00Z', '9999-12-31T23:59:59Z', '2026-03-09', 'null', '-1', '1e9', 'holder:8:apprentice-pass', 'person:3 visitor', 'diligent:-3:taster', 'observer:person:10', "\u{202E}abc", '🛶'];

    private const NUMBERS = [-1, 0, 1, 2, 3, 10, 43, 44, 45, 100, 3660, 99999, 2147483647, 2147483648, PHP_INT_MAX];

    private Randomizer $random;

    /** @param  array<string, mixed>  $document */
    public function __construct(private readonly array $document, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function number(int $most): int
    {
        return $this->random->getInt(0, $most);
    }

    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /** @param  array<mixed>  $of  not empty */
    public function one(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }

    public function text(): string
    {
        return $this->chance(5) ? str_repeat((string) $this->one(self::TEXTS), 300) : (string) $this->one(self::TEXTS);
    }

    /** @param  array<string, mixed>  $schema */
    public function value(array $schema, int $depth = 0): mixed
    {
        if ($this->chance(4) || $depth > 8) {
            return $this->one([null, true, 0, -1.5, 'x', [], new stdClass, [[[]]], '1']);
        }
        if (isset($schema['$ref'])) {
            $schema = $this->document['components']['schemas'][basename((string) $schema['$ref'])];
        }
        if (isset($schema['oneOf'])) {
            return $this->value($this->one($schema['oneOf']), $depth + 1);
        }
        if (isset($schema['enum'])) {
            return $this->one($schema['enum']);
        }
        $type = $this->one((array) ($schema['type'] ?? ['string']));

        return match ($type) {
            'object' => $this->object($schema, $depth),
            'array' => array_map(fn (): mixed => $this->value($schema['items'] ?? [], $depth + 1), range(0, $this->number(3))),
            'integer' => $this->one(self::NUMBERS),
            'number' => $this->one([0, 0.5, 1, -1, 1e300]),
            'boolean' => $this->chance(50),
            'null' => null,
            default => ($schema['format'] ?? '') === 'date-time' && $this->chance(70) ? '2026-03-'.sprintf('%02d', 1 + $this->number(29)).'T08:00:00Z' : (($schema['format'] ?? '') === 'uuid' && $this->chance(70) ? '0b8e1f5c-2f60-4f1f-9a53-6e7a3f0f8a1'.$this->number(9) : $this->text()),
        };
    }

    /** @param  array<string, mixed>  $schema */
    private function object(array $schema, int $depth): stdClass
    {
        $made = new stdClass;
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if ($this->chance(in_array($name, $schema['required'] ?? [], true) ? 96 : 40)) {
                $made->{$name} = $this->value($property, $depth + 1);
            }
        }
        if ($this->chance(4)) {
            $made->{'more'} = $this->text();
        }

        return $made;
    }

    /** Another than was there, somewhere in it. */
    public function bent(mixed $value, int $depth = 0): mixed
    {
        if ($depth > 0 && $this->chance(12)) {
            return $this->one([null, true, -1, '', 'x', [], new stdClass, $this->text(), $this->one(self::NUMBERS)]);
        }
        if (is_array($value)) {
            $bent = array_map(fn (mixed $one): mixed => $this->bent($one, $depth + 1), $value);
            if ($bent !== [] && $this->chance(10)) {
                unset($bent[$this->one(array_keys($bent))]);
                $bent = array_is_list($value) ? array_values($bent) : $bent;
            }

            return $bent;
        }

        return $value;
    }
}
