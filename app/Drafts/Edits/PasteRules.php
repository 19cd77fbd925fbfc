<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Drafts\Outline\ItemReferences;
use App\Drafts\Outline\OutlineTree;
use App\Models\CourseDocument;

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
        $from = $document->item($this->from) ?? throw CannotEdit::noSuchItem($this->from);
        foreach ($this->items as $key) {
            $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
            if ($key === $this->from) {
                continue;
            }
            $this->refuseWaitingForItself($document, $from, $item);
            foreach (self::FIELDS as $field) {
                self::copy($from, $item, $field);
            }
            foreach (self::BY_KIND as $field => $kinds) {
                // A rule that the copied row could not have says nothing about the others.
                if (in_array($item->kind ?? null, $kinds, true) && in_array($from->kind ?? null, $kinds, true)) {
                    self::copy($from, $item, $field);
                }
            }
            foreach (get_object_vars($document->course->plans ?? new \stdClass) as $plan) {
                if ($plan instanceof \stdClass) {
                    self::copy($plan, $plan, $this->from, $key);
                }
            }
        }
    }

    private static function copy(\stdClass $from, \stdClass $to, string $field, ?string $as = null): void
    {
        $as ??= $field;
        if (isset($from->{$field})) {
            $to->{$as} = json_decode((string) json_encode($from->{$field}, JSON_PRESERVE_ZERO_FRACTION));
        } else {
            unset($to->{$as});
        }
    }

    private function refuseWaitingForItself(CourseDocument $document, \stdClass $from, \stdClass $item): void
    {
        $within = OutlineTree::keysWithin($item);
        foreach (ItemReferences::inPrerequisites($from->after ?? null) as $asked) {
            $named = $document->item($asked);
            if (in_array($asked, $within, true) || ($named !== null && in_array($item->key, OutlineTree::keysWithin($named), true))) {
                throw CannotEdit::wouldWaitForItself(CourseDocument::titleOf($from), CourseDocument::titleOf($item), CourseDocument::titleOf($named ?? $item));
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
