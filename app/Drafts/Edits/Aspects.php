<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Drafts\Outline\OutlineTree;
use App\Models\CourseDocument;

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
        $aspects = self::fields('course', $document->course, ['items', 'plans']);
        foreach (self::members($document->course->plans ?? null) as $plan => $entries) {
            $aspects[self::name('plan', (string) $plan)] = 'there';
            foreach (self::members($entries) as $item => $entry) {
                foreach (self::members($entry) as $which => $rule) {
                    $aspects[self::name('time', (string) $plan, (string) $item, (string) $which)] = self::json($rule);
                }
            }
        }
        foreach ($document->offers as $offer) {
            $aspects += self::fields(self::name('offer', self::key($offer)), $offer, []);
        }

        return $aspects + self::inside($document->course, '');
    }

    /** @return array<array-key, string> */
    private static function inside(\stdClass $container, string $key): array
    {
        $aspects = [];
        foreach (OutlineTree::inside($container) as $item) {
            $name = self::name('item', self::key($item));
            $aspects[$name] = 'in '.$key;
            $aspects += self::fields($name, $item, ['items']);
            $aspects += self::inside($item, self::key($item));
        }

        return $aspects;
    }

    /**
     * @param  list<string>  $except
     * @return array<array-key, string>
     */
    private static function fields(string $of, \stdClass $thing, array $except): array
    {
        $fields = [];
        foreach (get_object_vars($thing) as $field => $value) {
            if (! in_array($field, $except, true) && $value !== null) {
                $fields[$of.'/'.$field] = self::json($value);
            }
        }

        return $fields;
    }

    private static function name(string ...$parts): string
    {
        return implode('/', array_map(rawurlencode(...), $parts));
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR);
    }

    private static function key(\stdClass $thing): string
    {
        return is_string($thing->key ?? null) ? $thing->key : '';
    }

    /** @return array<array-key, mixed> */
    private static function members(mixed $object): array
    {
        return $object instanceof \stdClass ? get_object_vars($object) : [];
    }
}
