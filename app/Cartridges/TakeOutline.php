<?php

declare(strict_types=1);

namespace App\Cartridges;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;
use Illuminate\Support\Str;

/** Puts the outline of a cartridge into a course that is being made. */
final class TakeOutline implements Edit
{
    /** @var array<array-key, CartridgeItem> what is no module, by the key that it was given */
    private array $leaves = [];

    /** @var array<array-key, true> keys that are taken */
    private array $used = [];

    public function __construct(private readonly Cartridge $cartridge)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $this->leaves = $this->used = [];
        $document->edit()->outline()->insert(null, ...array_map($this->made(...), $this->cartridge->items));
    }

    public function toArray(): array
    {
        return ['cartridge' => $this->cartridge->title];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }

    /** @return array<array-key, CartridgeItem> what has contents, by key; once it was put in */
    public function leaves(): array
    {
        return $this->leaves;
    }

    private function made(CartridgeItem $item): WritableItem
    {
        $key = $this->freeKey($item->title);
        $made = WritableItem::make($key, $item->kind, $item->title);
        if ($item->kind === 'module') {
            $made->insert(null, ...array_map($this->made(...), $item->items));
        } else {
            $this->leaves[$key] = $item;
        }

        return $made;
    }

    private function freeKey(string $title): string
    {
        $stem = Str::limit(Str::slug($title), 40, '') ?: 'item';
        for ($n = 1, $key = $stem; isset($this->used[$key]); $n++) {
            $key = $stem.'-'.($n + 1);
        }
        $this->used[$key] = true;

        return $key;
    }
}
