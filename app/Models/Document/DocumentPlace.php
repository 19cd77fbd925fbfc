<?php

declare(strict_types=1);

namespace App\Models\Document;

/** An item with where it stands. */
final readonly class DocumentPlace
{
    /**
     * @param  list<DocumentItem>  $path  what it stands in, from the top
     * @param  bool  $inOrder  what it stands in has its items one after the other
     * @param  bool  $isDraft  it, or what it stands in
     * @param  bool  $isOptional  likewise
     */
    public function __construct(public DocumentItem $item, public array $path, public bool $inOrder, public bool $isDraft, public bool $isOptional)
    {
    }

    public function depth(): int
    {
        return count($this->path);
    }
}
