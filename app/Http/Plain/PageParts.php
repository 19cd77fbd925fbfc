<?php

declare(strict_types=1);

namespace App\Http\Plain;

/** What a page is made of, as Vite has built it: for where the page is not run at once, which would bring it. */
final class PageParts
{
    private const MANIFEST = 'build/manifest.json';

    /** @var ?array<string, array{file?: string, css?: list<string>, imports?: list<string>}> as Vite writes it */
    private static ?array $manifest = null;

    private function __construct()
    {
    }

    /**
     * @param  string  $component  as Inertia names it
     * @return list<string> their addresses, in the order in which they build on each other; none where nothing was built
     */
    public static function styles(string $component): array
    {
        return self::addresses(self::page($component), static fn (array $chunk): array => $chunk['css'] ?? []);
    }

    /**
     * @param  string  $component  as Inertia names it
     * @param  string  ...$more  sources that are run before the page
     * @return list<string> addresses of the scripts that it and they are made of
     */
    public static function scripts(string $component, string ...$more): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (string $source): array => self::addresses($source, static fn (array $chunk): array => isset($chunk['file']) ? [$chunk['file']] : []), [...$more, self::page($component)]))));
    }

    private static function page(string $component): string
    {
        return "resources/js/pages/{$component}.tsx";
    }

    /**
     * @param  \Closure(array{file?: string, css?: list<string>, imports?: list<string>}): list<string>  $part  of a chunk
     * @return list<string>
     */
    private static function addresses(string $source, \Closure $part): array
    {
        $found = [];
        $seen = [];
        self::collect($source, $part, $found, $seen);

        return array_map(static fn (string $file): string => "/build/{$file}", array_values(array_unique($found)));
    }

    /**
     * What a chunk imports comes before it.
     *
     * @param  \Closure(array{file?: string, css?: list<string>, imports?: list<string>}): list<string>  $part
     * @param  list<string>  $found
     * @param  array<string, true>  $seen
     */
    private static function collect(string $chunk, \Closure $part, array &$found, array &$seen): void
    {
        if (isset($seen[$chunk])) {
            return;
        }
        $seen[$chunk] = true;
        $told = self::manifest()[$chunk] ?? [];
        foreach ($told['imports'] ?? [] as $import) {
            self::collect($import, $part, $found, $seen);
        }
        array_push($found, ...$part($told));
    }

    /** @return array<string, array{file?: string, css?: list<string>, imports?: list<string>}> */
    private static function manifest(): array
    {
        if (self::$manifest === null) {
            $file = public_path(self::MANIFEST);
            /** @var array<string, array{file?: string, css?: list<string>, imports?: list<string>}> $read what Vite has written */
            $read = is_file($file) ? (array) json_decode((string) file_get_contents($file), associative: true) : [];
            self::$manifest = $read;
        }

        return self::$manifest;
    }
}
