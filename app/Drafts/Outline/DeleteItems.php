<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Words\Sentence;

/** Takes items out with all inside them, and with what elsewhere speaks of them. */
final readonly class DeleteItems implements Edit
{
    /** @param  list<string>  $items */
    public function __construct(private array $items)
    {
    }

    /** @return list<Sentence> what speaks of the items and would lose that, one a thing */
    public function dependents(CourseDocument $document): array
    {
        $gone = $this->gone($document);
        $title = static fn (string $key): string => ($item = $document->item($key)) === null ? $key : CourseDocument::titleOf($item);
        $sentences = [];
        foreach ($document->items() as $item) {
            if (isset($gone[is_string($item->key ?? null) ? $item->key : ''])) {
                continue;
            }
            foreach (ItemReferences::inPrerequisites($item->after ?? null) as $key) {
                if (isset($gone[$key])) {
                    $sentences[] = Sentence::of('{} waits for {}', CourseDocument::titleOf($item), $title($key));
                }
            }
        }
        foreach ($document->offers as $offer) {
            foreach (is_array($offer->scope ?? null) ? $offer->scope : [] as $key) {
                if (is_string($key) && isset($gone[$key])) {
                    $sentences[] = Sentence::of('The offer {} covers {}', CourseDocument::titleOf($offer), $title($key));
                }
            }
        }

        return $sentences;
    }

    public function applyTo(CourseDocument $document): void
    {
        $gone = $this->gone($document);
        self::refuseConditions($document, $gone);
        $tree = new OutlineTree($document);
        foreach ($this->items as $key) {
            if ($document->item($key) !== null) {
                OutlineTree::remove(...$tree->place($key));
            }
        }
        foreach ($document->items() as $item) {
            $this->forget($item, $gone);
        }
        foreach (get_object_vars($document->course->plans ?? new \stdClass) as $plan) {
            foreach (array_keys($gone) as $key) {
                if ($plan instanceof \stdClass) {
                    unset($plan->{$key});
                }
            }
        }
        foreach ($document->offers as $offer) {
            if (is_array($offer->scope ?? null)) {
                $offer->scope = array_values(array_filter($offer->scope, static fn (mixed $key): bool => ! is_string($key) || ! isset($gone[$key])));
            }
        }
    }

    /** @param  array<array-key, true>  $gone */
    private function forget(\stdClass $item, array $gone): void
    {
        $after = $item->after ?? null;
        if ($after instanceof \stdClass) {
            foreach (['all', 'any', 'of'] as $list) {
                if (is_array($after->{$list} ?? null)) {
                    $after->{$list} = array_values(array_filter($after->{$list}, static fn (mixed $key): bool => ! is_string($key) || ! isset($gone[$key])));
                }
            }
            $left = count(is_array($after->of ?? null) ? $after->of : []);
            if (isset($after->at_least) && $after->at_least > $left) {
                $after->at_least = $left;
            }
            if (ItemReferences::inPrerequisites($after) === []) {
                unset($item->after);
            }
        }
    }

    /**
     * A condition that asks for what is gone would shut its item for good, and without that part it would
     * open to more people: somebody has to say what is meant.
     *
     * @param  array<array-key, true>  $gone
     */
    private static function refuseConditions(CourseDocument $document, array $gone): void
    {
        foreach ($document->items() as $item) {
            foreach (isset($gone[is_string($item->key ?? null) ? $item->key : '']) ? [] : ItemReferences::inCondition($item->only ?? null) as $key) {
                if (isset($gone[$key])) {
                    throw CannotEdit::stillAsked(CourseDocument::titleOf($item), CourseDocument::titleOf($document->item($key) ?? new \stdClass));
                }
            }
        }
    }

    /** @return array<array-key, true> */
    private function gone(CourseDocument $document): array
    {
        $gone = [];
        foreach ($this->items as $key) {
            $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
            $gone += array_fill_keys(OutlineTree::keysWithin($item), true);
        }

        return $gone;
    }

    public function toArray(): array
    {
        return ['delete' => $this->items];
    }

    public function pointer(): string
    {
        return '/courses/0/items';
    }
}
