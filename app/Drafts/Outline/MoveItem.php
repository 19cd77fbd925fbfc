<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Moves an item with all inside it by one step: up or down among its siblings, into the module before it, or out of what it stands in. */
final readonly class MoveItem implements Edit
{
    /** @param  'up'|'down'|'in'|'out'  $step */
    public function __construct(private string $item, private string $step)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $tree = new OutlineTree($document);
        [$container, $at] = $tree->place($this->item);
        $siblings = OutlineTree::inside($container);
        if ($this->step === 'in') {
            $into = $siblings[$at - 1] ?? throw CannotEdit::nowhereToMove('There is nothing before it that it could move into.');
            OutlineTree::insert($into, count(OutlineTree::inside($into)), [OutlineTree::remove($container, $at)]);

            return;
        }
        if ($this->step === 'out') {
            if (! is_string($container->key ?? null) || $container === $document->course) {
                throw CannotEdit::nowhereToMove('It stands at the top already.');
            }
            [$outer, $place] = $tree->place($container->key);
            OutlineTree::insert($outer, $place + 1, [OutlineTree::remove($container, $at)]);

            return;
        }
        $to = $at + ($this->step === 'up' ? -1 : 1);
        if (! isset($siblings[$to])) {
            throw CannotEdit::nowhereToMove($this->step === 'up' ? 'It stands first already.' : 'It stands last already.');
        }
        OutlineTree::insert($container, $to, [OutlineTree::remove($container, $at)]);
    }

    public function toArray(): array
    {
        return ['move' => $this->item, 'step' => $this->step];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
