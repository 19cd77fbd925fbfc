<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;

/** Adds items after an item or inside it, or at the end of the course, some perhaps inside others. */
final readonly class AddItems implements Edit
{
    /**
     * @param  list<NewRow>  $rows  in order; the first has depth 0
     * @param  ?string  $after  the item they come after; null: at the end
     * @param  bool  $inside  inside that item instead of after it
     * @param  bool  $first  before what is inside already, instead of at its end
     */
    public function __construct(private array $rows, private ?string $after, private bool $inside, private bool $first = false)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $tree = new OutlineTree($document);
        [$container, $at] = $this->after === null ? [$document->edit()->outline(), null] : $this->placeAfter($tree, $document);
        /** @var list<WritableItem> $open the last item of each depth */
        $open = [];
        foreach ($this->rows as $row) {
            $item = WritableItem::make($tree->freeKey($row->title), $row->kind, $row->title);
            if ($row->depth === 0) {
                $container->insert($at, $item);
                $at = $at === null ? null : $at + 1;
            } else {
                ($open[$row->depth - 1] ?? throw new \LogicException('A row stands in the one before, or beside it.'))->insert(null, $item);
            }
            $open = [...array_slice($open, 0, $row->depth), $item];
        }
    }

    /** @return array{WritableItem, ?int} */
    private function placeAfter(OutlineTree $tree, CourseDocument $document): array
    {
        if ($this->inside) {
            return [$document->editItem((string) $this->after) ?? throw CannotEdit::noSuchItem((string) $this->after), $this->first ? 0 : null];
        }
        [$container, $at] = $tree->place((string) $this->after);

        return [$container, $at + 1];
    }

    public function toArray(): array
    {
        return ['add' => array_map(static fn (NewRow $row): array => [$row->depth, $row->kind, $row->title], $this->rows), 'after' => $this->after, 'inside' => $this->inside] + ($this->first ? ['first' => true] : []);
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
