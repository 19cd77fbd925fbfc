<?php

declare(strict_types=1);

namespace App\Http\Api\Document;

/**
 * An example of each operation, asked of the demo school at one instant. A test asks them all, and holds the answers to what is
 * written here; `tests/Api/ExamplesTest.php` says how they are written anew.
 */
final class Examples
{
    /** The instant at which they are asked. */
    public const AT = '2026-03-10T12:00:00Z';

    public static function file(string $id): string
    {
        return resource_path("api/examples/{$id}.json");
    }

    /**
     * @return array{request?: array{path?: array<string, mixed>, query?: array<string, mixed>, body?: mixed, headers?: array<string, string>}, answer?: array{status?: int, body?: mixed}} empty where there is none yet
     */
    public function of(string $id): array
    {
        $file = self::file($id);

        /** @var array{request?: array{path?: array<string, mixed>, query?: array<string, mixed>, body?: mixed, headers?: array<string, string>}, answer?: array{status?: int, body?: mixed}} */
        return is_file($file) ? json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) : [];
    }
}
