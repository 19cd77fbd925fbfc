<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\DocumentAfter;

/** Says what must be finished before items, and whether what is inside modules comes one after the other. */
final readonly class SetAfter implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  ?DocumentAfter  $after  null: nothing
     * @param  bool  $inOrder  of modules alone
     */
    public function __construct(private array $items, private ?DocumentAfter $after, private bool $inOrder)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            $item->set('after', $this->after);
            $item->set('in_order', $this->inOrder && $item->read()->kind() === 'module' ? true : null);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'after', 'items' => $this->items, 'to' => $this->after?->raw(), 'in_order' => $this->inOrder];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
