<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Sets one field of items as the plan format has it, or clears it. */
final readonly class SetField implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  mixed  $value  null: nothing set here
     */
    public function __construct(private string $field, private array $items, private mixed $value)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
            if ($this->value === null) {
                unset($item->{$this->field});
            } else {
                $item->{$this->field} = $this->value;
            }
        }
    }

    public function toArray(): array
    {
        return ['set' => $this->field, 'items' => $this->items, 'to' => $this->value];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
