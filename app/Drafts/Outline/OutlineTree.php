<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;
use Illuminate\Support\Str;

/** Finds and moves items of a document in place. */
final readonly class OutlineTree
{
    public function __construct(private CourseDocument $document)
    {
    }

    /**
     * What an item stands in (the course itself at the top), and at which place.
     *
     * @return array{WritableItem, int}
     *
     * @throws CannotEdit if it is not there
     */
    public function place(string $key): array
    {
        $course = $this->document->edit()->outline();
        foreach ([$course, ...iterator_to_array($course->allInside(), false)] as $container) {
            foreach ($container->inside() as $at => $item) {
                if ($item->key() === $key) {
                    return [$container, $at];
                }
            }
        }
        throw CannotEdit::noSuchItem($key);
    }

    /** A key that no item of the course has or had: told from the title, so that addresses can be read. */
    public function freeKey(string $title): string
    {
        $stem = substr(trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower(Str::ascii($title))), '-'), 0, 40);
        $stem = $stem === '' ? 'item' : $stem;
        for ($n = 1, $key = $stem; $this->document->isTaken($key); $n++) {
            $key = $stem.'-'.($n + 1);
        }

        return $key;
    }
}
