<?php

declare(strict_types=1);

namespace App\Models\Document;

/** Finds every label that the rules of a course name: what a row asks for, and what an offer gives. */
final readonly class DocumentLabels
{
    /** @param  list<\stdClass>  $offers  of the course */
    public function __construct(private \stdClass $course, private array $offers)
    {
    }

    /** @param  \Closure(DocumentLabel): string  $each  says which label stands there from then on */
    public function map(\Closure $each): void
    {
        self::items($this->course, $each);
        foreach ($this->offers as $offer) {
            if (is_array($offer->labels ?? null)) {
                $key = is_string($offer->key ?? null) ? $offer->key : '';
                $offer->labels = array_values(array_unique(array_map(static fn (string $label): string => $each(new DocumentLabel($label, null, $key)), array_filter($offer->labels, is_string(...)))));
            }
        }
    }

    /**
     * The rules as they would be if several labels were one: whatever asks for one of them asks for any.
     *
     * @param  list<string>  $labels
     */
    public function join(array $labels): void
    {
        self::joinItems($this->course, $labels);
    }

    /** @param  \Closure(DocumentLabel): string  $each */
    private static function items(\stdClass $above, \Closure $each): void
    {
        foreach ((array) ($above->items ?? []) as $item) {
            if ($item instanceof \stdClass) {
                self::condition($item->only ?? null, is_string($item->key ?? null) ? $item->key : '', $each);
                self::items($item, $each);
            }
        }
    }

    /** @param  \Closure(DocumentLabel): string  $each */
    private static function condition(mixed $only, string $item, \Closure $each): void
    {
        if (! $only instanceof \stdClass) {
            return;
        }
        if (is_string($only->label ?? null)) {
            $only->label = $each(new DocumentLabel($only->label, $item, null));
        }
        foreach ([...(array) ($only->all ?? []), ...(array) ($only->any ?? []), $only->not ?? null] as $part) {
            self::condition($part, $item, $each);
        }
    }

    /** @param  list<string>  $labels */
    private static function joinItems(\stdClass $above, array $labels): void
    {
        foreach ((array) ($above->items ?? []) as $item) {
            if ($item instanceof \stdClass) {
                self::joinIn($item->only ?? null, $labels);
                self::joinItems($item, $labels);
            }
        }
    }

    /** @param  list<string>  $labels */
    private static function joinIn(mixed $only, array $labels): void
    {
        if (! $only instanceof \stdClass) {
            return;
        }
        foreach ([...(array) ($only->all ?? []), ...(array) ($only->any ?? []), $only->not ?? null] as $part) {
            self::joinIn($part, $labels);
        }
        if (in_array($only->label ?? null, $labels, true)) {
            unset($only->label);
            $only->any = array_map(static fn (string $label): \stdClass => (object) ['label' => $label], $labels);
        }
    }
}
