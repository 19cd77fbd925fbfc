<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\KeyedFields;

/**
 * What can be set in a document, each by a name of its own: two edits that change no aspect in common can be
 * made one after the other, whoever comes first. Orders are none: whatever stands where, both moves make sense.
 */
final class Aspects
{
    private function __construct()
    {
    }

    /** @return list<string> the names of what is not the same in both */
    public static function changed(CourseDocument $before, CourseDocument $after): array
    {
        $was = self::of($before);
        $is = self::of($after);
        $changed = [];
        foreach ($was + $is as $name => $value) {
            if (($was[$name] ?? null) !== ($is[$name] ?? null)) {
                $changed[] = (string) $name;
            }
        }

        return $changed;
    }

    /** @return array<array-key, string> values by name */
    private static function of(CourseDocument $document): array
    {
        $course = $document->read();
        $aspects = self::fields('course', $course, ['items', 'plans']);
        foreach ($course->planNames() as $plan) {
            $aspects[self::name('plan', $plan)] = 'there';
            foreach ($course->times($plan) as $item => $entry) {
                foreach ($entry as $which => $rule) {
                    $aspects[self::name('time', $plan, (string) $item, (string) $which)] = $rule;
                }
            }
        }
        foreach ($document->readOffers() as $offer) {
            $aspects += self::fields(self::name('offer', $offer->key()), $offer, []);
        }
        foreach ($course->places() as $place) {
            $name = self::name('item', $place->item->key());
            $aspects[$name] = 'in '.($place->path === [] ? '' : $place->path[count($place->path) - 1]->key());
            $aspects += self::fields($name, $place->item, ['items']);
        }

        return $aspects;
    }

    /**
     * @param  list<string>  $except
     * @return array<array-key, string>
     */
    private static function fields(string $of, KeyedFields $thing, array $except): array
    {
        $fields = [];
        foreach ($thing->told($except) as $field => $value) {
            $fields[$of.'/'.$field] = $value;
        }

        return $fields;
    }

    private static function name(string ...$parts): string
    {
        return implode('/', array_map(rawurlencode(...), $parts));
    }
}
