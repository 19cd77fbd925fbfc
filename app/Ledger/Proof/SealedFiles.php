<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

use App\Files\LocalCopies;
use ZipArchive;

/**
 * Files in one archive with a signature over all of them: `signature.jws` signs a list of their names and digests, `key.json` is the public
 * key with which anybody can verify it.
 */
final class SealedFiles
{
    public const SIGNATURE = 'signature.jws';

    private const KEY = 'key.json';

    private const JSON = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

    private function __construct()
    {
    }

    /**
     * @param  array<string, string>  $files  by name
     * @param  array<string, string>  $told  what else is signed: by whom, when, of what
     * @return string path of the archive, which is whoever's called to let go of
     */
    public static function write(array $files, array $told): string
    {
        $archive = LocalCopies::newFile();
        $zip = new ZipArchive;
        if ($zip->open($archive, ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException('The archive cannot be written.');
        }
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->addFromString(self::SIGNATURE, Seal::sign(json_encode([...$told, 'sha256' => array_map(static fn (string $content): string => hash('sha256', $content), $files)], self::JSON))."\n");
        $zip->addFromString(self::KEY, json_encode(['keys' => [Seal::publicKey()]], self::JSON)."\n");

        return $zip->close() ? $archive : throw new \RuntimeException('The archive cannot be written.');
    }

    /**
     * @return ?array{told: array<string, string>, wrong: list<string>} what was signed, and the names of files that are not as they were, are lacking or were added; null where it was not signed by this school
     */
    public static function look(string $archive): ?array
    {
        $zip = new ZipArchive;
        if ($zip->open($archive, ZipArchive::RDONLY) !== true) {
            return null;
        }
        $signed = Seal::opened((string) $zip->getFromName(self::SIGNATURE));
        $told = $signed === null ? null : json_decode($signed, true);
        if (! is_array($told) || ! is_array($told['sha256'] ?? null)) {
            return null;
        }
        $digests = $told['sha256'];
        unset($told['sha256']);
        $wrong = [];
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $name = (string) $zip->getNameIndex($entry);
            if (! in_array($name, [self::SIGNATURE, self::KEY], true) && ($digests[$name] ?? null) !== hash('sha256', (string) $zip->getFromIndex($entry))) {
                $wrong[] = $name;
            }
            unset($digests[$name]);
        }

        return ['told' => array_filter($told, is_string(...)), 'wrong' => array_values(array_unique([...$wrong, ...array_map(strval(...), array_keys($digests))]))];
    }
}
