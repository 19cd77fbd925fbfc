<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use Tests\Core\Documents;

/** Documents of which one thing is altered: every value of every shape that occurs, with what does not belong there. */
final class Mutants
{
    private const VALUES = [
        null, true, false, 0, -1, 7, 1.5, 1e30, '', ' ', 'x', "x\n",
        '2026-03-02T09:00', "2026-03-02T09:00\n", '0000-01-01T00:00', '2026-02-30T09:00',
        '2026-03-02T09:00:00Z', "2026-03-02T09:00:00Z\n", '0000-01-01T00:00:00Z', '2026-02-30T09:00:00Z',
        '2026-03-02T09:00:00', '2026-03-32T09:00:00Z', '09:00', "09:00\n", '24:00', '٢٠٢٦-03-02T09:00', 'module', 'lesson', 'part', 'board', 'Europe/Oslo', [], [1], ['x', 'x'],
    ];

    /** Members of these have names of their own choosing: one of them speaks for all. */
    private const NAMED = ['plans', 'tiers'];

    /** @var array<string, true> */
    private array $seen = [];

    /** @return \Generator<string, mixed> what was altered => the altered document */
    public function of(mixed $document): \Generator
    {
        foreach ($this->places($document) as [$shape, $path]) {
            if (isset($this->seen[$shape])) {
                continue;
            }
            $this->seen[$shape] = true;
            foreach ([...self::VALUES, new \stdClass, (object) ['x' => 1]] as $value) {
                yield $shape.' = '.Documents::json($value) => self::altered($document, $path, static fn (): mixed => $value);
            }
            yield "{$shape} with more" => self::altered($document, $path, static function (mixed $old): mixed {
                if ($old instanceof \stdClass) {
                    $old->strange = 1;
                }

                return is_array($old) ? [...$old, ...$old] : $old;
            });
            yield "{$shape} gone" => self::altered($document, $path, null);
        }
    }

    /**
     * @param  list<string>  $shape
     * @param  list<string|int>  $path
     * @return \Generator<int, array{string, non-empty-list<string|int>}>
     */
    private function places(mixed $value, array $shape = [], array $path = []): \Generator
    {
        if ($path !== []) {
            yield [implode('/', $shape), $path];
        }
        $members = $value instanceof \stdClass ? get_object_vars($value) : (is_array($value) ? $value : []);
        foreach ($members as $name => $member) {
            $any = is_array($value) || array_intersect(self::NAMED, array_slice($shape, -2)) !== [];
            yield from $this->places($member, [...$shape, $any ? '*' : (string) $name], [...$path, is_array($value) ? (int) $name : (string) $name]);
        }
    }

    /**
     * @param  non-empty-list<string|int>  $path
     * @param  ?\Closure(mixed): mixed  $with  null takes the value away
     */
    private static function altered(mixed $document, array $path, ?\Closure $with): mixed
    {
        $name = array_shift($path);
        $members = is_array($document) ? $document : get_object_vars(Documents::object($document));
        $old = $members[$name];
        if ($path !== []) {
            $members[$name] = self::altered($old, $path, $with);
        } elseif ($with !== null) {
            $members[$name] = $with(is_object($old) ? clone $old : $old);
        } else {
            unset($members[$name]);
        }

        return is_array($document) ? array_values($members) : (object) $members;
    }
}
