<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\PeopleFilter;

/** Reads which people are meant out of an address or a form. What makes no sense in it is left out. */
trait ReadsPeopleFilter
{
    private const STANDINGS = ['trial', 'samples', 'none', 'staff', 'observes', 'observed'];

    /** @param  array<array-key, mixed>  $asked */
    private static function filterOf(array $asked): PeopleFilter
    {
        $text = static fn (string $key): ?string => is_string($asked[$key] ?? null) && trim($asked[$key]) !== '' ? mb_substr(trim($asked[$key]), 0, 200) : null;
        $number = static fn (string $key, int $most): ?int => is_numeric($asked[$key] ?? null) && (int) $asked[$key] >= 0 ? min($most, (int) $asked[$key]) : null;

        return new PeopleFilter(
            find: $text('find') ?? '',
            holds: $text('holds'),
            standing: in_array($text('standing'), self::STANDINGS, true) ? (string) $text('standing') : '',
            endsIn: $number('ends_in', 36500),
            ended: $number('ended', 36500),
            unseen: $number('unseen', 36500),
            label: $text('label'),
            course: $text('course'),
            from: $number('from', 100),
            to: $number('to', 100),
            sort: in_array($text('sort'), PeopleFilter::SORTS, true) ? (string) $text('sort') : 'name',
        );
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array<string, string>
     */
    private static function askedOf(array $asked): array
    {
        $kept = [];
        foreach (['find', 'holds', 'standing', 'ends_in', 'ended', 'unseen', 'label', 'course', 'from', 'to', 'sort'] as $key) {
            if (is_scalar($asked[$key] ?? null) && (string) $asked[$key] !== '') {
                $kept[$key] = (string) $asked[$key];
            }
        }

        return $kept;
    }
}
