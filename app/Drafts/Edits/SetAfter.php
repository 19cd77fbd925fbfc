<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Says what must be finished before items, and whether what is inside modules comes one after the other. */
final readonly class SetAfter implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  ?\stdClass  $after  as the plan format has it; null: nothing
     * @param  bool  $inOrder  of modules alone
     */
    public function __construct(private array $items, private ?\stdClass $after, private bool $inOrder)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
            if ($this->after === null) {
                unset($item->after);
            } else {
                $item->after = clone $this->after;
            }
            if ($this->inOrder && ($item->kind ?? null) === 'module') {
                $item->in_order = true;
            } else {
                unset($item->in_order);
            }
        }
    }

    public function toArray(): array
    {
        return ['set' => 'after', 'items' => $this->items, 'to' => $this->after, 'in_order' => $this->inOrder];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
