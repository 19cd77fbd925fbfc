<?php

declare(strict_types=1);

namespace App\Http\Plain;

/** The stylesheets of a page, for where it is shown without its scripts, which would bring them. */
final class PageStyles
{
    private const MANIFEST = 'build/manifest.json';

    /** @var ?array<string, array{css?: list<string>, imports?: list<string>}> as Vite writes it */
    private static ?array $manifest = null;

    private function __construct()
    {
    }

    /**
     * @param  string  $component  as Inertia names it
     * @return list<string> their addresses, in the order in which they build on each other; none where nothing was built
     */
    public static function of(string $component): array
    {
        $found = [];
        $seen = [];
        self::collect("resources/js/pages/{$component}.tsx", $found, $seen);

        return array_map(static fn (string $file): string => "/build/{$file}", array_values(array_unique($found)));
    }

    /**
     * What a chunk imports comes before it.
     *
     * @param  list<string>  $found
     * @param  array<string, true>  $seen
     */
    private static function collect(string $chunk, array &$found, array &$seen): void
    {
        if (isset($seen[$chunk])) {
            return;
        }
        $seen[$chunk] = true;
        $told = self::manifest()[$chunk] ?? [];
        foreach ($told['imports'] ?? [] as $import) {
            self::collect($import, $found, $seen);
        }
        array_push($found, ...$told['css'] ?? []);
    }

    /** @return array<string, array{css?: list<string>, imports?: list<string>}> */
    private static function manifest(): array
    {
        if (self::$manifest === null) {
            $file = public_path(self::MANIFEST);
            /** @var array<string, array{css?: list<string>, imports?: list<string>}> $read what Vite has written */
            $read = is_file($file) ? (array) json_decode((string) file_get_contents($file), associative: true) : [];
            self::$manifest = $read;
        }

        return self::$manifest;
    }
}
