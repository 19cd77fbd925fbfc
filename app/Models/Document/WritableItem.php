<?php

declare(strict_types=1);

namespace App\Models\Document;

/** An item of a document that is changed in place, with all inside it; or the course itself, as what items stand in. */
final readonly class WritableItem extends Writable
{
    public static function make(string $key, string $kind, string $title): self
    {
        return new self((object) ['key' => $key, 'kind' => $kind, 'title' => $title]);
    }

    public function read(): DocumentItem
    {
        return new DocumentItem($this->json);
    }

    /** With all inside it, and the same keys. */
    public function duplicate(): self
    {
        return new self($this->read()->raw());
    }

    /** @return list<string> its key and those of all inside it */
    public function keysWithin(): array
    {
        return [$this->key(), ...array_map(static fn (self $item): string => $item->key(), iterator_to_array($this->allInside(), false))];
    }

    /** @return list<self> directly inside */
    public function inside(): array
    {
        return array_map(static fn (\stdClass $item): self => new self($item), $this->items());
    }

    /** @return \Generator<int, self> all inside, in reading order */
    public function allInside(): \Generator
    {
        foreach ($this->inside() as $item) {
            yield $item;
            foreach ($item->allInside() as $deeper) {
                yield $deeper;
            }
        }
    }

    /** @param  ?int  $at  null: at the end */
    public function insert(?int $at, self ...$items): void
    {
        $inside = $this->items();
        array_splice($inside, $at ?? count($inside), 0, array_map(static fn (self $item): \stdClass => $item->json, array_values($items)));
        $this->json->items = $inside;
    }

    public function remove(int $at): self
    {
        $inside = $this->items();
        [$item] = array_splice($inside, $at, 1);
        $this->json->items = $inside;

        return new self($item);
    }

    /** @return list<\stdClass> */
    private function items(): array
    {
        $items = $this->json->items ?? [];

        return is_array($items) ? array_values(array_filter($items, static fn (mixed $item): bool => $item instanceof \stdClass)) : [];
    }
}
