<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;

/** Puts a copy of an item after it, with all inside it and all its rules; what waits inside for something inside waits for the copy. */
final readonly class DuplicateItem implements Edit
{
    public function __construct(private string $item)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $tree = new OutlineTree($document);
        [$container, $at] = $tree->place($this->item);
        $original = $container->inside()[$at];
        $copy = $original->duplicate();
        $copy->set('title', $original->title().' (copy)');
        $container->insert($at + 1, $copy);
        $renamed = [];
        foreach ([$copy, ...iterator_to_array($copy->allInside(), false)] as $item) {
            $old = $item->key();
            $renamed[$old] = $tree->freeKey($old);
            $item->set('key', $renamed[$old]);
        }
        foreach ([$copy, ...iterator_to_array($copy->allInside(), false)] as $item) {
            $item->set('after', $item->read()->after()?->mapped(static fn (string $key): string => $renamed[$key] ?? $key));
        }
        foreach ($document->edit()->plans() as $plan) {
            foreach ($renamed as $old => $new) {
                $plan->copy((string) $old, $new);
            }
        }
    }

    /**
     * The key of each copy, by that of the item.
     *
     * @param  CourseDocument  $after  with the copy, which stands after the item
     * @return array<array-key, string>
     */
    public function copies(CourseDocument $after): array
    {
        [$container, $at] = (new OutlineTree($after))->place($this->item);
        [$item, $copy] = [$container->inside()[$at], $container->inside()[$at + 1]];
        $keys = static fn (WritableItem $one): array => array_map(static fn (WritableItem $inside): string => $inside->key(), [$one, ...iterator_to_array($one->allInside(), false)]);

        return array_combine($keys($item), $keys($copy));
    }

    public function toArray(): array
    {
        return ['duplicate' => $this->item];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
