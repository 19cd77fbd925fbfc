<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\Fields;

/** Sets one field of items as the plan format has it, or clears it. */
final readonly class SetField implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  Fields|bool|string|list<string>|null  $value  null: nothing set here
     */
    public function __construct(private string $field, private array $items, private Fields|bool|string|array|null $value)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            ($document->editItem($key) ?? throw CannotEdit::noSuchItem($key))->set($this->field, $this->value);
        }
    }

    public function toArray(): array
    {
        return ['set' => $this->field, 'items' => $this->items, 'to' => $this->value instanceof Fields ? $this->value->raw() : $this->value];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
