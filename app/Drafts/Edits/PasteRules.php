<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\WritableItem;

/** Sets on items all the rules that another one has, in every release plan. Titles, drafts and what is inside stay. */
final readonly class PasteRules implements Edit
{
    private const FIELDS = ['sample', 'optional', 'tiers', 'only', 'guests', 'observers', 'never_for', 'after', 'when_closed'];

    /** What only some kinds of items have. */
    private const BY_KIND = ['in_order' => ['module'], 'finish' => ['lesson', 'part']];

    /** @param  list<string>  $items */
    public function __construct(private string $from, private array $items)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $from = $document->editItem($this->from) ?? throw CannotEdit::noSuchItem($this->from);
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            if ($key === $this->from) {
                continue;
            }
            $this->refuseWaitingForItself($document, $from, $item);
            foreach (self::FIELDS as $field) {
                $item->copy($from, $field);
            }
            foreach (self::BY_KIND as $field => $kinds) {
                // A rule that the copied row could not have says nothing about the others.
                if (in_array($item->read()->kind(), $kinds, true) && in_array($from->read()->kind(), $kinds, true)) {
                    $item->copy($from, $field);
                }
            }
            foreach ($document->edit()->plans() as $plan) {
                $plan->copy($this->from, $key);
            }
        }
    }

    private function refuseWaitingForItself(CourseDocument $document, WritableItem $from, WritableItem $item): void
    {
        $within = $item->keysWithin();
        foreach ($from->read()->after()?->named() ?? [] as $asked) {
            $named = $document->editItem($asked);
            if (in_array($asked, $within, true) || ($named !== null && in_array($item->key(), $named->keysWithin(), true))) {
                throw CannotEdit::wouldWaitForItself($from->title(), $item->title(), ($named ?? $item)->title());
            }
        }
    }

    public function toArray(): array
    {
        return ['paste' => $this->from, 'items' => $this->items];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
