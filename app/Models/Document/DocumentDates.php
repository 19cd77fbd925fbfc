<?php

declare(strict_types=1);

namespace App\Models\Document;

/** Finds every date that the rules of a course name, wherever it stands. */
final class DocumentDates
{
    private function __construct()
    {
    }

    /**
     * @param  list<\stdClass>  $offers  of the course
     * @param  \Closure(DocumentDate): string  $each  says what stands there from then on: a wall-clock time of the plan format
     */
    public static function map(\stdClass $course, array $offers, \Closure $each): void
    {
        foreach (['opens', 'closes'] as $end) {
            self::at($course, $end, "season_{$end}", null, null, $each);
        }
        foreach ((array) ($course->plans ?? []) as $name => $plan) {
            foreach ($plan instanceof \stdClass ? get_object_vars($plan) : [] as $item => $entry) {
                foreach ($entry instanceof \stdClass ? ['opens', 'closes'] : [] as $when) {
                    $rule = $entry instanceof \stdClass ? $entry->{$when} ?? null : null;
                    if ($rule instanceof \stdClass) {
                        self::at($rule, 'at', $when, (string) $item, (string) $name, $each);
                    }
                }
            }
        }
        self::items($course, $each);
        foreach ($offers as $offer) {
            if (($offer->lasts ?? null) instanceof \stdClass) {
                self::at($offer->lasts, 'until', 'lasts', null, null, $each, is_string($offer->key ?? null) ? $offer->key : null);
            }
        }
    }

    /** @param  \Closure(DocumentDate): string  $each */
    private static function items(\stdClass $above, \Closure $each): void
    {
        foreach ((array) ($above->items ?? []) as $item) {
            if ($item instanceof \stdClass) {
                self::condition($item->only ?? null, is_string($item->key ?? null) ? $item->key : '', $each);
                self::items($item, $each);
            }
        }
    }

    /** @param  \Closure(DocumentDate): string  $each */
    private static function condition(mixed $only, string $item, \Closure $each): void
    {
        if (! $only instanceof \stdClass) {
            return;
        }
        foreach (['from', 'until'] as $end) {
            self::at($only, $end, "only_{$end}", $item, null, $each);
        }
        foreach ([...(array) ($only->all ?? []), ...(array) ($only->any ?? []), $only->not ?? null] as $part) {
            self::condition($part, $item, $each);
        }
    }

    /** @param  \Closure(DocumentDate): string  $each */
    private static function at(\stdClass $in, string $field, string $what, ?string $item, ?string $plan, \Closure $each, ?string $offer = null): void
    {
        if (is_string($in->{$field} ?? null)) {
            $in->{$field} = $each(new DocumentDate($what, $in->{$field}, $item, $plan, $offer));
        }
    }
}
