<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Words\Say;

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
        $siblings = $container->inside();
        if ($this->step === 'in') {
            $into = $siblings[$at - 1] ?? throw CannotEdit::nowhereToMove(Say::text('drafts.move_item.there_nothing_before_that'));
            $into->insert(null, $container->remove($at));

            return;
        }
        if ($this->step === 'out') {
            if ($container->is($document->edit()->outline())) {
                throw CannotEdit::nowhereToMove(Say::text('drafts.move_item.stands_at_top_already'));
            }
            [$outer, $place] = $tree->place($container->key());
            $outer->insert($place + 1, $container->remove($at));

            return;
        }
        $to = $at + ($this->step === 'up' ? -1 : 1);
        if (! isset($siblings[$to])) {
            throw CannotEdit::nowhereToMove($this->step === 'up' ? Say::text('drafts.move_item.it_stands_first_already') : Say::text('drafts.move_item.it_stands_last_already'));
        }
        $container->insert($to, $container->remove($at));
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
