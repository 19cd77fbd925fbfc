<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;
use App\Words\Say;

/** Puts items, each with all inside it and in the order given, before or after another one, or at the end of what is inside it. */
final readonly class PlaceItems implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  'before'|'after'|'inside'  $where
     */
    public function __construct(private array $items, private string $target, private string $where)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $target = $document->editItem($this->target) ?? throw CannotEdit::noSuchItem($this->target);
        $tree = new OutlineTree($document);
        $moved = [];
        foreach ($this->outermost($document) as $item) {
            if (in_array($this->target, $item->keysWithin(), true)) {
                throw CannotEdit::nowhereToMove(Say::text('drafts.place_items.title_cannot_move_into', ['title' => $item->title()]));
            }
            [$container, $at] = $tree->place($item->key());
            $moved[] = $container->remove($at);
        }
        if ($this->where === 'inside') {
            $target->insert(null, ...$moved);

            return;
        }
        [$container, $at] = $tree->place($this->target);
        $container->insert($at + ($this->where === 'after' ? 1 : 0), ...$moved);
    }

    /**
     * What is moved with what it stands in is not moved out of it.
     *
     * @return list<WritableItem>
     */
    private function outermost(CourseDocument $document): array
    {
        $inside = [];
        $items = [];
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            $items[$key] = $item;
            $inside += array_fill_keys(array_diff($item->keysWithin(), [$key]), true);
        }

        return array_values(array_diff_key($items, $inside));
    }

    public function toArray(): array
    {
        return ['place' => $this->items, 'where' => $this->where, 'target' => $this->target];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
