<?php

declare(strict_types=1);

namespace App\Models\Document;

/** The course of a document, read: its doors, its season, its plans and its outline. */
final readonly class DocumentCourse extends KeyedFields
{
    /** As the plan format names it. */
    public function state(): string
    {
        return $this->text('state') ?? '';
    }

    /** As the plan format names it. */
    public function entry(): string
    {
        return $this->text('entry') ?? '';
    }

    /** Of the season: wall-clock time in the school's zone. */
    public function opens(): ?string
    {
        return $this->text('opens');
    }

    /** Likewise. */
    public function closes(): ?string
    {
        return $this->text('closes');
    }

    public function keepAfterRetiring(): bool
    {
        return $this->bool('keep_after_retiring') ?? true;
    }

    public function sampleNeedsAccount(): bool
    {
        return $this->bool('sample_needs_account') === true;
    }

    public function inOrder(): bool
    {
        return $this->bool('in_order') === true;
    }

    public function guestDoor(): DocumentDoor
    {
        return DocumentDoor::of($this->object('guest_door'));
    }

    public function observerDoor(): DocumentDoor
    {
        return DocumentDoor::of($this->object('observer_door'));
    }

    /** @return list<string> */
    public function tiers(): array
    {
        return $this->texts('tiers') ?? [];
    }

    /** That of everybody without a pass; null: none. */
    public function mainPlan(): ?string
    {
        return $this->text('main_plan');
    }

    /** @return list<string> names of the release plans, in the order in which they were made */
    public function planNames(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->object('plans') ?? new \stdClass)));
    }

    /**
     * What a release plan says of an item; null: nothing.
     *
     * @param  'opens'|'closes'  $when
     */
    public function time(?string $plan, string $item, string $when): ?DocumentTime
    {
        $entry = $plan === null ? null : ($this->object('plans')->{$plan} ?? null)->{$item} ?? null;

        return DocumentTime::of($entry instanceof \stdClass ? $entry->{$when} ?? null : null);
    }

    /**
     * All that a release plan says.
     *
     * @return array<array-key, array<array-key, string>> rules of openings and closings as JSON, by item and by `opens` or `closes`
     */
    public function times(string $plan): array
    {
        $times = [];
        foreach (get_object_vars(($this->object('plans')->{$plan} ?? null) ?? new \stdClass) as $item => $entry) {
            foreach ($entry instanceof \stdClass ? get_object_vars($entry) : [] as $when => $rule) {
                $times[$item][$when] = json_encode($rule, JSON_THROW_ON_ERROR);
            }
        }

        return $times;
    }

    /** @return list<DocumentItem> at the top */
    public function items(): array
    {
        return array_map(static fn (\stdClass $item): DocumentItem => new DocumentItem($item), $this->objects('items'));
    }

    /** @return \Generator<int, DocumentPlace> in reading order */
    public function places(): \Generator
    {
        yield from self::below($this->items(), [], $this->inOrder(), draft: false, optional: false);
    }

    /**
     * @param  list<DocumentItem>  $items
     * @param  list<DocumentItem>  $path
     * @return \Generator<int, DocumentPlace>
     */
    private static function below(array $items, array $path, bool $inOrder, bool $draft, bool $optional): \Generator
    {
        foreach ($items as $item) {
            $isDraft = $draft || $item->isDraft();
            $isOptional = $optional || $item->optional() === true;
            yield new DocumentPlace($item, $path, $inOrder, $isDraft, $isOptional);
            foreach (self::below($item->items(), [...$path, $item], $item->inOrder(), $isDraft, $isOptional) as $inside) {
                yield $inside;
            }
        }
    }
}
