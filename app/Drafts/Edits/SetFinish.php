<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Says how lessons and parts are finished. */
final readonly class SetFinish implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  ?\stdClass  $finish  as the plan format has it; null: by its learner's mark
     */
    public function __construct(private array $items, private ?\stdClass $finish)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
            if (! in_array($item->kind ?? null, ['lesson', 'part'], true)) {
                throw CannotEdit::neverFinished(CourseDocument::titleOf($item));
            }
            if ($this->finish === null) {
                unset($item->finish);
            } else {
                $item->finish = clone $this->finish;
            }
        }
    }

    public function toArray(): array
    {
        return ['set' => 'finish', 'items' => $this->items, 'to' => $this->finish];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
