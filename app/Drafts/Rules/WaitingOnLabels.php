<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentPlace;

/**
 * Rows for a label that something else waits for. Who does not have the label is not held up by them; whoever has it is, often
 * without anybody having meant it.
 */
final readonly class WaitingOnLabels
{
    /** @var array<array-key, string> title of the first that names it, by key of what must be finished first */
    private array $named;

    public function __construct(private CourseDocument $document)
    {
        $named = [];
        foreach ($document->readItems() as $item) {
            foreach ($item->after()?->items() ?? [] as $first) {
                $named[$first] ??= $item->title();
            }
        }
        $this->named = $named;
    }

    /** Null: it is for no label, is optional already, or nothing waits for it. */
    public function heldUpBy(DocumentPlace $place): ?HeldUp
    {
        $labels = array_values(array_unique(self::labels($place->item->only())));
        if ($labels === [] || $place->isOptional || $place->isDraft || ! in_array($place->item->kind(), ['module', 'lesson'], true)) {
            return null;
        }
        $waits = $this->waitsFor($place->item, $place->path);

        return $waits === null ? null : new HeldUp($labels, $waits);
    }

    /**
     * What waits in an order, or for a module that it is a part of. What names the row itself means it.
     *
     * @param  list<DocumentItem>  $path  what the item stands in, from the top
     */
    private function waitsFor(DocumentItem $item, array $path): ?string
    {
        $above = $path === [] ? null : $path[count($path) - 1];
        $next = ($above?->inOrder() ?? $this->document->read()->inOrder()) ? self::nextOf($item, $above?->items() ?? $this->document->read()->items()) : null;
        if ($next !== null || $above === null) {
            return $next;
        }

        return $this->named[$above->key()] ?? $this->waitsFor($above, array_slice($path, 0, -1));
    }

    /** @param  list<DocumentItem>  $siblings */
    private static function nextOf(DocumentItem $item, array $siblings): ?string
    {
        $passed = false;
        foreach ($siblings as $sibling) {
            if ($passed && ! $sibling->isDraft() && $sibling->kind() !== 'board') {
                return $sibling->title();
            }
            $passed = $passed || $sibling->key() === $item->key();
        }

        return null;
    }

    /** @return list<string> */
    private static function labels(?DocumentCondition $condition): array
    {
        return match ($condition?->asks()) {
            null => [],
            'label' => [$condition->value()],
            'all', 'any' => array_merge([], ...array_map(self::labels(...), $condition->parts())),
            default => [],
        };
    }
}
