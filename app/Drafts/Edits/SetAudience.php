<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Says whether guests, or observers, may look into items: yes, no, as what they stand in says, or never, whatever is said inside. */
final readonly class SetAudience implements Edit
{
    /**
     * @param  'guests'|'observers'  $audience
     * @param  list<string>  $items
     * @param  'yes'|'no'|'as above'|'never'  $to
     */
    public function __construct(private string $audience, private array $items, private string $to)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            $never = array_values(array_diff($item->read()->neverFor(), [$this->audience]));
            if ($this->to === 'never') {
                $never[] = $this->audience;
            }
            if ($never !== [] || $item->read()->neverFor() !== []) {
                $item->set('never_for', $never === [] ? null : $never);
            }
            $item->set($this->audience, $this->to === 'yes' || $this->to === 'no' ? $this->to === 'yes' : null);
        }
    }

    public function toArray(): array
    {
        return ['set' => $this->audience, 'items' => $this->items, 'to' => $this->to];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
