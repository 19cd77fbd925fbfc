<?php

declare(strict_types=1);

namespace App\Access;

use Closure;
use Illuminate\Contracts\Cache\Repository;

/**
 * What was reckoned in one request and holds in others: courses compiled, sums of them. Each thing is kept with a stamp of all
 * that it was made of, and is not what is asked for under another stamp; so nothing need be told when something changes.
 * A place is one file, and is written again when anything in it was missing: of two at once the later one stays, and the other
 * is made again.
 */
final class Kept
{
    /** Seconds; a place that nobody has asked for so long is as good as new. */
    private const FOR = 7 * 86400;

    /** @var array<string, string> by class: what reckons does not change while it does */
    private static array $codes = [];

    private static ?string $core = null;

    public function __construct(private readonly Repository $cache)
    {
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  array<int, string>  $stamps  by id
     * @param  Closure(list<int>): array<int, T>  $make  those that are not kept, by id; what it leaves out is not there
     * @param  ?Closure(T): bool  $holds  whether one that is kept still holds; null: under its stamp it always does
     * @return array<int, T>
     */
    public function all(string $place, string $class, array $stamps, Closure $make, ?Closure $holds = null): array
    {
        $place = "kept:{$place}:".(self::$codes[$class] ??= self::code($class));
        $kept = $this->cache->get($place);
        $kept = is_array($kept) ? $kept : [];
        $found = [];
        foreach ($stamps as $id => $stamp) {
            [$of, $thing] = is_array($kept[$id] ?? null) ? $kept[$id] + [null, null] : [null, null];
            if ($of === $stamp && $thing instanceof $class && ($holds === null || $holds($thing))) {
                $found[$id] = $thing;
            }
        }
        $missing = array_keys(array_diff_key($stamps, $found));
        $made = $missing === [] ? [] : $make($missing);
        if ($made !== []) {
            // Beside what others asked for here.
            foreach ($made as $id => $thing) {
                $kept[$id] = [$stamps[$id], $thing];
            }
            $this->cache->put($place, $kept, self::FOR);
        }

        return $found + $made;
    }

    /**
     * Which version of the core it is that reckons, and what the things themselves are made of: one that was kept before it could say
     * more would lack it.
     *
     * @param  class-string  $class
     */
    private static function code(string $class): string
    {
        $parts = array_map(static fn (\ReflectionProperty $part): string => $part->getName(), (new \ReflectionClass($class))->getProperties());

        return hash('xxh128', implode(' ', [self::$core ??= self::core(), ...$parts]));
    }

    /** A checkout writes its files anew, and so their folders. */
    private static function core(): string
    {
        return implode(' ', array_map(static fn (string $folder): string => (string) filemtime($folder), [...glob(base_path('core/*'), GLOB_ONLYDIR) ?: [], ...glob(base_path('core/*/*'), GLOB_ONLYDIR) ?: []]));
    }
}
