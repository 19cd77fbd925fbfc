<?php

declare(strict_types=1);

namespace App\Models\Document;

/** An item of a course document, read: what is set on it. */
final readonly class DocumentItem extends KeyedFields
{
    /** As the plan format names it. */
    public function kind(): string
    {
        return $this->text('kind') ?? '';
    }

    public function isLesson(): bool
    {
        return $this->kind() === 'lesson';
    }

    /** It itself, not what it stands in. */
    public function isDraft(): bool
    {
        return $this->bool('draft') === true;
    }

    public function sample(): ?bool
    {
        return $this->bool('sample');
    }

    public function optional(): ?bool
    {
        return $this->bool('optional');
    }

    public function guests(): ?bool
    {
        return $this->bool('guests');
    }

    public function observers(): ?bool
    {
        return $this->bool('observers');
    }

    /** @return list<string> */
    public function neverFor(): array
    {
        return $this->texts('never_for') ?? [];
    }

    public function inOrder(): bool
    {
        return $this->bool('in_order') === true;
    }

    public function hidesWhenClosed(): bool
    {
        return $this->text('when_closed') === 'hide';
    }

    /** @return ?list<string> null: every pass */
    public function tiers(): ?array
    {
        return $this->texts('tiers');
    }

    /** A condition. */
    public function only(): ?DocumentCondition
    {
        return DocumentCondition::of($this->object('only'));
    }

    /** Prerequisites. */
    public function after(): ?DocumentAfter
    {
        return DocumentAfter::of($this->object('after'));
    }

    public function finish(): ?DocumentFinish
    {
        return DocumentFinish::of($this->object('finish'));
    }

    /** @return list<self> directly inside */
    public function items(): array
    {
        return array_map(static fn (\stdClass $item): self => new self($item), $this->objects('items'));
    }
}
