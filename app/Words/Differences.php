<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\CourseDocument;
use App\Models\Document\DocumentTime;

/** What differs between two documents of a course, one sentence for each thing that was set. */
final readonly class Differences
{
    /** @param  list<Sentence>  $sentences */
    private function __construct(public array $sentences)
    {
    }

    public static function between(?CourseDocument $before, CourseDocument $after): self
    {
        if ($before === null) {
            return new self([Sentence::of('{} is published for the first time', $after->title())]);
        }
        $title = self::titles($before, $after);
        [$before, $renamed] = self::renamePlans($before, $after);

        return new self([
            ...FieldDifferences::of('The course', $before->course, $after->course, ['items', 'plans', 'key', 'display'], $title),
            ...self::phrase($before, $after),
            ...self::items($before, $after, $title),
            ...$renamed,
            ...self::plans($before, $after, $title),
            ...self::offers($before, $after, $title),
        ]);
    }

    /**
     * A plan that is gone and one that is new with the same times are one, renamed.
     *
     * @return array{CourseDocument, list<Sentence>} what was before, with the new names
     */
    private static function renamePlans(CourseDocument $before, CourseDocument $after): array
    {
        $old = self::members($before->course->plans ?? null);
        $new = self::members($after->course->plans ?? null);
        $sentences = [];
        foreach (array_diff_key($old, $new) as $name => $plan) {
            foreach (array_diff_key($new, $old) as $to => $same) {
                if (json_encode($plan) === json_encode($same)) {
                    $before = $sentences === [] ? $before->copy() : $before;
                    $before->renamePlan((string) $name, (string) $to);
                    $sentences[] = Sentence::of('The release plan {} is called {}', (string) $name, (string) $to);
                    unset($new[$to]);
                    break;
                }
            }
        }

        return [$before, $sentences];
    }

    /**
     * The phrase itself is nobody's to read in a history.
     *
     * @return list<Sentence>
     */
    private static function phrase(CourseDocument $before, CourseDocument $after): array
    {
        return match (true) {
            $before->guestPhrase() === $after->guestPhrase() => [],
            $after->guestPhrase() === null => [Sentence::of('The guest door asks for no pass phrase any more')],
            $before->guestPhrase() === null => [Sentence::of('The guest door asks for a pass phrase')],
            default => [Sentence::of('The guest door asks for another pass phrase')],
        };
    }

    /** @return \Closure(string): string the title of an item or offer, as it is after the change */
    private static function titles(CourseDocument $before, CourseDocument $after): \Closure
    {
        $titles = [];
        foreach ([...$before->offers, ...$after->offers] as $offer) {
            $titles[is_string($offer->key ?? null) ? $offer->key : ''] = CourseDocument::titleOf($offer);
        }
        foreach ([...$before->items(), ...$after->items()] as $item) {
            $titles[is_string($item->key ?? null) ? $item->key : ''] = CourseDocument::titleOf($item);
        }

        return static fn (string $key): string => $titles[$key] ?? $key;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function items(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = self::byKey(iterator_to_array($before->items(), false));
        $new = self::byKey(iterator_to_array($after->items(), false));
        $sentences = [];
        $stoodIn = self::containers($before);
        $standsIn = self::containers($after);
        foreach ($new as $key => $item) {
            if (! isset($old[$key])) {
                $sentences[] = Sentence::of('{} is added', CourseDocument::titleOf($item));
            } else {
                if (($stoodIn[$key] ?? '') !== ($standsIn[$key] ?? '')) {
                    $sentences[] = ($standsIn[$key] ?? '') === ''
                        ? Sentence::of('{} moves to the top', CourseDocument::titleOf($item))
                        : Sentence::of('{} moves into {}', CourseDocument::titleOf($item), $title($standsIn[$key]));
                }
                array_push($sentences, ...FieldDifferences::of('{}', $old[$key], $item, ['items', 'key'], $title, CourseDocument::titleOf($item)));
            }
        }
        foreach (array_diff_key($old, $new) as $item) {
            $sentences[] = Sentence::of('{} is taken out', CourseDocument::titleOf($item));
        }
        $moved = array_filter(array_keys($new), static fn (int|string $key): bool => ($stoodIn[$key] ?? '') !== ($standsIn[$key] ?? ''));
        $stayed = array_diff_key(array_intersect_key($new, $old), array_flip($moved));
        if (self::order($old, $stayed) !== self::order($new, $stayed) || array_keys(array_intersect_key($old, $stayed)) !== array_keys(array_intersect_key($stayed, $old))) {
            $sentences[] = Sentence::of('The outline is in another order');
        }

        return $sentences;
    }

    /** @return array<array-key, string> the key of what each item stands in; nothing at the top */
    private static function containers(CourseDocument $document): array
    {
        $in = [];
        foreach ($document->items() as $item) {
            foreach (is_array($item->items ?? null) ? $item->items : [] as $inside) {
                if ($inside instanceof \stdClass && is_string($inside->key ?? null)) {
                    $in[$inside->key] = is_string($item->key ?? null) ? $item->key : '';
                }
            }
        }

        return $in;
    }

    /**
     * @param  array<array-key, \stdClass>  $items
     * @param  array<array-key, \stdClass>  $others
     * @return list<array{string, list<string>}> of the items that both have: the key and the keys directly inside
     */
    private static function order(array $items, array $others): array
    {
        $order = [];
        foreach ($items as $key => $item) {
            if (isset($others[$key])) {
                $inside = is_array($item->items ?? null) ? array_values(array_filter($item->items, static fn (mixed $one): bool => $one instanceof \stdClass)) : [];
                $order[] = [(string) $key, array_map(strval(...), array_keys(array_intersect_key(self::byKey($inside), $others)))];
            }
        }

        return $order;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function plans(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = self::members($before->course->plans ?? null);
        $new = self::members($after->course->plans ?? null);
        $sentences = [];
        foreach ($new as $name => $plan) {
            if (! isset($old[$name])) {
                $sentences[] = Sentence::of('The release plan {} is added', (string) $name);

                continue;
            }
            $was = self::members($old[$name]);
            $is = self::members($plan);
            foreach (array_keys($was + $is) as $key) {
                array_push($sentences, ...self::entry($was[$key] ?? null, $is[$key] ?? null, $title((string) $key), count($new) > 1 ? " in the {$name} plan" : ''));
            }
        }
        foreach (array_keys(array_diff_key($old, $new)) as $name) {
            $sentences[] = Sentence::of('The release plan {} is taken out', (string) $name);
        }

        return $sentences;
    }

    /** @return list<Sentence> */
    private static function entry(mixed $was, mixed $is, string $title, string $where): array
    {
        $opens = static fn (mixed $entry): string => RuleWords::opening(self::time($entry, 'opens')) ?? 'as what it stands in';
        $closes = static fn (mixed $entry): string => RuleWords::closing(self::time($entry, 'closes')) ?? 'never';
        $sentences = [];
        if ($opens($was) !== $opens($is)) {
            $sentences[] = Sentence::of("{} opens {$opens($is)}{$where} (was: {$opens($was)})", $title);
        }
        if ($closes($was) !== $closes($is)) {
            $sentences[] = Sentence::of("{} closes {$closes($is)}{$where} (was: {$closes($was)})", $title);
        }

        return $sentences;
    }

    private static function time(mixed $entry, string $when): ?DocumentTime
    {
        return DocumentTime::of($entry instanceof \stdClass ? $entry->{$when} ?? null : null);
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function offers(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = self::byKey($before->offers);
        $new = self::byKey($after->offers);
        $sentences = [];
        foreach ($new as $key => $offer) {
            array_push($sentences, ...(isset($old[$key])
                ? FieldDifferences::of('The offer {}', $old[$key], $offer, ['key', 'course'], $title, CourseDocument::titleOf($offer))
                : [Sentence::of('The offer {} is added', CourseDocument::titleOf($offer))]));
        }
        foreach (array_diff_key($old, $new) as $offer) {
            $sentences[] = Sentence::of('The offer {} is taken out', CourseDocument::titleOf($offer));
        }

        return $sentences;
    }

    /**
     * @param  list<\stdClass>  $things
     * @return array<array-key, \stdClass>
     */
    private static function byKey(array $things): array
    {
        $byKey = [];
        foreach ($things as $thing) {
            $byKey[is_string($thing->key ?? null) ? $thing->key : ''] = $thing;
        }

        return $byKey;
    }

    /** @return array<array-key, mixed> */
    private static function members(mixed $object): array
    {
        return $object instanceof \stdClass ? get_object_vars($object) : [];
    }
}
