<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;
use Illuminate\Support\Str;

/** Finds and moves items of a document in place. */
final readonly class OutlineTree
{
    public function __construct(private CourseDocument $document)
    {
    }

    /**
     * What an item stands in (the course itself at the top), and at which place.
     *
     * @return array{\stdClass, int}
     *
     * @throws CannotEdit if it is not there
     */
    public function place(string $key): array
    {
        $containers = [$this->document->course, ...iterator_to_array($this->document->items(), false)];
        foreach ($containers as $container) {
            foreach (self::inside($container) as $at => $item) {
                if (($item->key ?? null) === $key) {
                    return [$container, $at];
                }
            }
        }
        throw CannotEdit::noSuchItem($key);
    }

    /** @return list<\stdClass> */
    public static function inside(\stdClass $container): array
    {
        $items = $container->items ?? [];

        return is_array($items) ? array_values(array_filter($items, static fn (mixed $item): bool => $item instanceof \stdClass)) : [];
    }

    /** @param  list<\stdClass>  $items */
    public static function insert(\stdClass $container, int $at, array $items): void
    {
        $inside = self::inside($container);
        array_splice($inside, $at, 0, $items);
        $container->items = $inside;
    }

    public static function remove(\stdClass $container, int $at): \stdClass
    {
        $inside = self::inside($container);
        [$item] = array_splice($inside, $at, 1);
        $container->items = $inside;

        return $item;
    }

    /** A key that no item of the course has: told from the title, so that addresses can be read. */
    public function freeKey(string $title): string
    {
        $taken = [];
        foreach ($this->document->items() as $item) {
            $taken[is_string($item->key ?? null) ? $item->key : ''] = true;
        }
        $stem = substr(trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower(Str::ascii($title))), '-'), 0, 40);
        $stem = $stem === '' ? 'item' : $stem;
        for ($n = 1, $key = $stem; isset($taken[$key]); $n++) {
            $key = $stem.'-'.($n + 1);
        }

        return $key;
    }

    /** @return list<string> the item's key and those of all inside it */
    public static function keysWithin(\stdClass $item): array
    {
        $keys = is_string($item->key ?? null) ? [$item->key] : [];
        foreach (self::inside($item) as $inside) {
            array_push($keys, ...self::keysWithin($inside));
        }

        return $keys;
    }
}
