<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\DocumentFinish;

/** Says how lessons and parts are finished. */
final readonly class SetFinish implements Edit
{
    /**
     * @param  list<string>  $items
     * @param  ?DocumentFinish  $finish  null: by its learner's mark
     */
    public function __construct(private array $items, private ?DocumentFinish $finish)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            if (! in_array($item->read()->kind(), ['lesson', 'part'], true)) {
                throw CannotEdit::neverFinished($item->title());
            }
            $item->set('finish', $this->finish);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'finish', 'items' => $this->items, 'to' => $this->finish?->raw()];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
