<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

/** Something in the rules of a course that somebody hardly meant. */
final readonly class Finding
{
    /**
     * @param  list<string>  $items  keys, in reading order; the first is where it is put right
     * @param  list<string>  $offers  keys, in document order
     * @param  list<string>  $about  what else it is about: keys of items that are waited for, labels, a tier, a plan, an audience
     * @param  array<string, int|float>  $facts  instants (`opens`, `ends`), counts (`lessons`, `of`, `days`) and shares with which it is told; they may move by themselves
     * @param  string  $cause  digest of the rules that make it so: the same finding with another cause is news
     */
    public function __construct(
        public CheckKind $kind,
        public array $items = [],
        public array $offers = [],
        public array $about = [],
        public array $facts = [],
        public string $cause = '',
    ) {
    }

    /** What it is of, whatever its cause. */
    public function subject(): string
    {
        return implode("\n", [$this->kind->value, implode(' ', $this->items), implode(' ', $this->offers), implode(' ', $this->about)]);
    }

    public function because(string $cause): self
    {
        return new self($this->kind, $this->items, $this->offers, $this->about, $this->facts, $cause);
    }

    /** @return array{check: string, level: string, items: list<string>, offers: list<string>, about: list<string>, facts: array<string, int|float>} */
    public function toArray(): array
    {
        return ['check' => $this->kind->value, 'level' => $this->kind->level()->value, 'items' => $this->items, 'offers' => $this->offers, 'about' => $this->about, 'facts' => $this->facts];
    }
}
