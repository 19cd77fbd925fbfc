<?php

declare(strict_types=1);

namespace App\Cartridges;

use App\Words\Say;
use DOMDocument;
use DOMElement;
use ZipArchive;

/**
 * The ZIP file that a cartridge is (IMS Content Packaging, `imsmanifest.xml` at its top). Nothing is unpacked by its name, what comes
 * out is counted and not believed, and XML that declares anything of its own is not read.
 */
final class CartridgeFile
{
    /** Bytes of XML that are read of one entry. */
    private const MOST_XML = 8 * 1024 * 1024;

    private const MOST_ENTRIES = 20_000;

    private function __construct(private readonly ZipArchive $zip)
    {
    }

    /** @throws NotACartridge */
    public static function open(string $path): self
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new NotACartridge(Say::text('files.cartridge.no_zip'));
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw new NotACartridge(Say::text('files.cartridge.too_many', ['most' => self::MOST_ENTRIES]));
        }
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $name = $zip->getNameIndex($entry, ZipArchive::FL_ENC_RAW);
            if ($name === false || ! self::staysInside($name)) {
                throw new NotACartridge(Say::text('files.cartridge.climbs', ['name' => mb_substr(mb_scrub((string) $name), 0, 80)]));
            }
        }

        return new self($zip);
    }

    /** Whether a path names something in the cartridge, however it is written. */
    public static function staysInside(string $path): bool
    {
        $parts = explode('/', strtr(rawurldecode($path), '\\', '/'));

        return $path !== '' && ! str_contains($path, "\0") && $parts[0] !== '' && preg_match('/^[a-z]:/i', $parts[0]) !== 1 && ! in_array('..', $parts, true);
    }

    public function has(string $name): bool
    {
        return $this->zip->locateName($name) !== false;
    }

    /**
     * @throws NotACartridge if it is not there, too large, or no XML that is read here
     */
    public function xml(string $name): DOMElement
    {
        $text = $this->text($name);
        // In another encoding than that of its beginning a declaration could hide from whoever looks for it.
        $isPlain = ! str_starts_with($text, "\xFE\xFF") && ! str_starts_with($text, "\xFF\xFE") && ! str_contains(substr($text, 0, 400), "\0") && preg_match('/^[^>]*encoding\s*=\s*["\'](?!utf-?8|us-ascii|iso-8859-1["\'])/i', substr($text, 0, 200)) !== 1;
        if (! $isPlain || stripos($text, '<!DOCTYPE') !== false || stripos($text, '<!ENTITY') !== false) {
            throw new NotACartridge(Say::text('files.cartridge.declares', ['name' => $name]));
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $read = $text !== '' && $document->loadXML($text, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return $read && $document->documentElement !== null ? $document->documentElement : throw new NotACartridge(Say::text('files.cartridge.no_xml', ['name' => $name]));
    }

    /**
     * Copies an entry out to where nothing of its name is.
     *
     * @param  int  $most  bytes
     * @return ?string the path of a file that the caller removes; null where it is not there or larger
     */
    public function copy(string $name, int $most): ?string
    {
        $from = $this->zip->getStream($name);
        $path = tempnam(sys_get_temp_dir(), 'keep');
        $to = $path === false ? false : fopen($path, 'wb');
        if ($from === false || $path === false || $to === false) {
            return null;
        }
        $bytes = stream_copy_to_stream($from, $to, $most + 1);
        fclose($from);
        fclose($to);
        if ($bytes === false || $bytes > $most) {
            unlink($path);

            return null;
        }

        return $path;
    }

    /** @throws NotACartridge */
    private function text(string $name): string
    {
        $stream = $this->zip->getStream($name);
        if ($stream === false) {
            throw new NotACartridge(Say::text('files.cartridge.missing', ['name' => $name]));
        }
        // The size that the file says of itself need not be so.
        $text = (string) stream_get_contents($stream, self::MOST_XML + 1);
        fclose($stream);

        return strlen($text) <= self::MOST_XML ? $text : throw new NotACartridge(Say::text('files.cartridge.too_large', ['name' => $name]));
    }
}
