<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;

/** Adds items of one kind, one a title, after an item or inside it, or at the end of the course. */
final readonly class AddItems implements Edit
{
    /**
     * @param  list<string>  $titles
     * @param  ?string  $after  the item they come after; null: at the end
     * @param  bool  $inside  inside that item instead of after it
     * @param  bool  $first  before what is inside already, instead of at its end
     */
    public function __construct(private string $kind, private array $titles, private ?string $after, private bool $inside, private bool $first = false)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $tree = new OutlineTree($document);
        [$container, $at] = $this->after === null ? [$document->edit()->outline(), null] : $this->placeAfter($tree, $document);
        foreach ($this->titles as $title) {
            $container->insert($at, WritableItem::make($tree->freeKey($title), $this->kind, $title));
            $at = $at === null ? null : $at + 1;
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
        return ['add' => $this->kind, 'titles' => $this->titles, 'after' => $this->after, 'inside' => $this->inside] + ($this->first ? ['first' => true] : []);
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
