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
        $items = $document->readItems();
        $title = static fn (string $key): string => isset($items[$key]) ? $items[$key]->title() : $key;
        $sentences = [];
        foreach (array_diff_key($items, $gone) as $item) {
            foreach ($item->after()?->named() ?? [] as $key) {
                if (isset($gone[$key])) {
                    $sentences[] = Sentence::say('drafts.delete_items.title_waits_for_title2', titles: ['title' => $item->title(), 'title2' => $title($key)]);
                }
            }
        }
        foreach ($document->readOffers() as $offer) {
            foreach ($offer->scope() ?? [] as $key) {
                if (isset($gone[$key])) {
                    $sentences[] = Sentence::say('drafts.delete_items.offer_title_covers_title2', titles: ['title' => $offer->title(), 'title2' => $title($key)]);
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
            if ($document->editItem($key) !== null) {
                [$container, $at] = $tree->place($key);
                $container->remove($at);
            }
        }
        $left = static fn (string $key): ?string => isset($gone[$key]) ? null : $key;
        foreach ($document->edit()->outline()->allInside() as $item) {
            $item->set('after', $item->read()->after()?->mapped($left));
        }
        foreach ($document->edit()->plans() as $plan) {
            foreach (array_keys($gone) as $key) {
                $plan->forget((string) $key);
            }
        }
        foreach ($document->editOffers() as $offer) {
            $scope = $offer->read()->scope();
            $offer->set('scope', $scope === null ? null : array_values(array_filter(array_map($left, $scope), is_string(...))));
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
        $items = $document->readItems();
        foreach (array_diff_key($items, $gone) as $item) {
            foreach ($item->only()?->itemsDone() ?? [] as $key) {
                if (isset($gone[$key])) {
                    throw CannotEdit::stillAsked($item->title(), isset($items[$key]) ? $items[$key]->title() : $key);
                }
            }
        }
    }

    /** @return array<array-key, true> */
    private function gone(CourseDocument $document): array
    {
        $gone = [];
        foreach ($this->items as $key) {
            $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
            $gone += array_fill_keys($item->keysWithin(), true);
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
