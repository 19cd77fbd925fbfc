<?php

declare(strict_types=1);

namespace App\Cartridges;

use App\Words\Say;
use DOMElement;

/**
 * Reads the outline of a course out of a Common Cartridge (1.3 of 1EdTech, and its earlier versions): titles, nesting, kinds, web links
 * and files. What cannot be taken is listed.
 */
final class ReadCartridge
{
    private const MANIFEST = 'imsmanifest.xml';

    /** Deeper than any course is. */
    private const DEEPEST = 12;

    private const MOST_ITEMS = 5_000;

    private const LONGEST_TITLE = 255;

    private int $read = 0;

    /** @var array<string, array{what: 'quiz'|'tool'|'file'|'text'|'other', title: string}> */
    private array $left = [];

    /** @param  array<string, DOMElement>  $resources  by identifier */
    private function __construct(private readonly CartridgeFile $file, private readonly array $resources)
    {
    }

    /** @throws NotACartridge */
    public static function from(CartridgeFile $file): Cartridge
    {
        $manifest = $file->xml(self::MANIFEST);
        if ($manifest->localName !== 'manifest') {
            throw new NotACartridge(Say::text('files.cartridge.no_manifest'));
        }
        $resources = [];
        foreach (self::children(self::child($manifest, 'resources'), 'resource') as $resource) {
            $resources[$resource->getAttribute('identifier')] ??= $resource;
        }
        $organization = self::child(self::child($manifest, 'organizations'), 'organization') ?? throw new NotACartridge(Say::text('files.cartridge.no_outline'));
        $reader = new self($file, $resources);
        $items = $reader->items($organization, 0);
        // One item without a title stands around all the others.
        if (count($items) === 1 && $items[0]->title === '' && $items[0]->kind === 'module') {
            $items = $items[0]->items;
        }
        if ($items === []) {
            throw new NotACartridge(Say::text('files.cartridge.no_outline'));
        }

        return new Cartridge(self::title($manifest, $organization), array_map(self::titled(...), $items), array_values($reader->left));
    }

    /**
     * @return list<CartridgeItem>
     *
     * @throws NotACartridge
     */
    private function items(DOMElement $above, int $depth): array
    {
        if ($depth > self::DEEPEST) {
            throw new NotACartridge(Say::text('files.cartridge.too_deep', ['most' => self::DEEPEST]));
        }
        $items = [];
        foreach (self::children($above, 'item') as $element) {
            if (++$this->read > self::MOST_ITEMS) {
                throw new NotACartridge(Say::text('files.cartridge.too_long', ['most' => self::MOST_ITEMS]));
            }
            $title = self::text(self::child($element, 'title'));
            $inside = $this->items($element, $depth + 1);
            $resource = $this->resources[$element->getAttribute('identifierref')] ?? null;
            $own = $resource === null ? null : $this->resource($resource, $title);
            $items[] = match (true) {
                $inside === [] && $own !== null => $own,
                // A heading with nothing under it; or a lesson whose content is not in the file.
                $inside === [] => $element->getAttribute('identifierref') === '' ? new CartridgeItem($title, 'module') : $this->without('file', $title),
                // What stands at a heading itself comes first inside it.
                default => new CartridgeItem($title, 'module', items: [...($own === null ? [] : [$own]), ...$inside]),
            };
        }

        return $items;
    }

    private function resource(DOMElement $resource, string $title): CartridgeItem
    {
        $type = strtolower($resource->getAttribute('type'));

        return match (true) {
            str_starts_with($type, 'imswl') => $this->link($resource, $title),
            str_starts_with($type, 'imsdt') => $this->board($resource, $title),
            str_starts_with($type, 'imsqti') => $this->without('quiz', $title),
            str_starts_with($type, 'imsbasiclti') => $this->without('tool', $title),
            $type === 'webcontent' || str_starts_with($type, 'associatedcontent') => $this->files($resource, $title),
            default => $this->without('other', $title),
        };
    }

    /** A lesson of that title, whose content has to be made anew. */
    private function without(string $what, string $title): CartridgeItem
    {
        $this->leave($what, $title);

        return new CartridgeItem($title, 'lesson');
    }

    private function link(DOMElement $resource, string $title): CartridgeItem
    {
        $xml = $this->named($resource);
        $url = self::child($xml, 'url');
        $address = trim($url === null ? '' : $url->getAttribute('href'));
        if (preg_match('~^https?://[^\s<>"]+$~Di', $address) !== 1 || strlen($address) > 2000) {
            return $this->without('other', $title);
        }

        return new CartridgeItem($title === '' ? self::text(self::child($xml, 'title')) : $title, 'lesson', link: $address);
    }

    private function board(DOMElement $resource, string $title): CartridgeItem
    {
        if (self::text(self::child($this->named($resource), 'text')) !== '') {
            $this->leave('text', $title);
        }

        return new CartridgeItem($title, 'board');
    }

    /** The XML that a resource names; null where it cannot be read. */
    private function named(DOMElement $resource): ?DOMElement
    {
        $name = $this->names($resource)[0] ?? null;
        try {
            return $name === null ? null : $this->file->xml($name);
        } catch (NotACartridge) {
            return null;
        }
    }

    private function files(DOMElement $resource, string $title): CartridgeItem
    {
        $names = $this->names($resource);
        if ($names === []) {
            $this->leave('file', $title);
        }

        return new CartridgeItem($title, 'lesson', files: $names);
    }

    /** @return list<string> of what a resource holds, its own first: what climbs out or is not there is left out */
    private function names(DOMElement $resource): array
    {
        $base = rtrim($resource->getAttribute('xml:base'), '/');
        $names = [];
        foreach ([$resource, ...self::children($resource, 'file')] as $element) {
            $href = $element->getAttribute('href');
            $name = ltrim(($base === '' ? '' : "{$base}/").rawurldecode($href), './');
            if ($href !== '' && CartridgeFile::staysInside($href) && CartridgeFile::staysInside($name) && $this->file->has($name)) {
                $names[] = $name;
            }
        }

        return array_values(array_unique($names));
    }

    private function leave(string $what, string $title): void
    {
        if (in_array($what, ['quiz', 'tool', 'file', 'text', 'other'], true)) {
            $this->left["{$what} {$title}"] ??= ['what' => $what, 'title' => mb_substr($title, 0, self::LONGEST_TITLE)];
        }
    }

    /** That of the metadata, else that of the outline itself. */
    private static function title(DOMElement $manifest, DOMElement $organization): string
    {
        $general = self::child(self::child(self::child($manifest, 'metadata'), 'lom'), 'general');
        $said = self::text(self::child(self::child($general, 'title'), 'string'));

        return $said !== '' ? $said : (self::text(self::child($organization, 'title')) ?: Say::text('files.cartridge.untitled'));
    }

    /** None is without a title. */
    private static function titled(CartridgeItem $item): CartridgeItem
    {
        return new CartridgeItem($item->title === '' ? Say::text('files.cartridge.untitled') : $item->title, $item->kind, $item->link, $item->files, array_map(self::titled(...), $item->items));
    }

    private static function text(?DOMElement $element): string
    {
        return $element === null ? '' : mb_substr(trim((string) preg_replace('/\s+/u', ' ', $element->textContent)), 0, self::LONGEST_TITLE);
    }

    /** The first of a name, whatever its namespace: versions differ in that alone. */
    private static function child(?DOMElement $above, string $name): ?DOMElement
    {
        return $above === null ? null : (self::children($above, $name)[0] ?? null);
    }

    /** @return list<DOMElement> */
    private static function children(?DOMElement $above, string $name): array
    {
        $found = [];
        foreach ($above === null ? [] : $above->childNodes as $node) {
            if ($node instanceof DOMElement && $node->localName === $name) {
                $found[] = $node;
            }
        }

        return $found;
    }
}
