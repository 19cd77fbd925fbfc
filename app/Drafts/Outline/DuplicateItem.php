<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Puts a copy of an item after it, with all inside it and all its rules; what waits inside for something inside waits for the copy. */
final readonly class DuplicateItem implements Edit
{
    public function __construct(private string $item)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $tree = new OutlineTree($document);
        [$container, $at] = $tree->place($this->item);
        $original = OutlineTree::inside($container)[$at];
        $copy = json_decode((string) json_encode($original, JSON_PRESERVE_ZERO_FRACTION));
        assert($copy instanceof \stdClass);
        $copy->title = CourseDocument::titleOf($original).' (copy)';
        OutlineTree::insert($container, $at + 1, [$copy]);
        $renamed = $this->rename($copy, $tree);
        $this->follow($copy, $renamed);
        foreach (get_object_vars($document->course->plans ?? new \stdClass) as $plan) {
            foreach ($plan instanceof \stdClass ? $renamed : [] as $old => $new) {
                if (isset($plan->{$old})) {
                    $plan->{$new} = json_decode((string) json_encode($plan->{$old}));
                }
            }
        }
    }

    /** @return array<array-key, string> the new key by the old */
    private function rename(\stdClass $item, OutlineTree $tree): array
    {
        $old = is_string($item->key ?? null) ? $item->key : '';
        $item->key = $tree->freeKey($old);
        $renamed = [$old => $item->key];
        foreach (OutlineTree::inside($item) as $inside) {
            $renamed += $this->rename($inside, $tree);
        }

        return $renamed;
    }

    /** @param  array<array-key, string>  $renamed */
    private function follow(\stdClass $item, array $renamed): void
    {
        foreach (['all', 'any', 'of'] as $list) {
            if (($item->after ?? null) instanceof \stdClass && is_array($item->after->{$list} ?? null)) {
                $item->after->{$list} = array_map(static fn (mixed $key): mixed => is_string($key) ? $renamed[$key] ?? $key : $key, $item->after->{$list});
            }
        }
        foreach (OutlineTree::inside($item) as $inside) {
            $this->follow($inside, $renamed);
        }
    }

    public function toArray(): array
    {
        return ['duplicate' => $this->item];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
