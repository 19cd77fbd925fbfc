<?php

declare(strict_types=1);

namespace Tests\Core;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Offer;

/** Small plan documents for tests, and the recorded ones. */
final class Documents
{
    private function __construct()
    {
    }

    /**
     * A course of these items in a school on Oslo time, with these settings over the usual ones.
     *
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  list<array<string, mixed>>  $offers
     * @param  array<string, mixed>  $school
     */
    public static function plan(array $items, array $course = [], array $offers = [['key' => 'o', 'course' => 'c']], array $school = []): Plan
    {
        return PlanReader::fromDecoded(self::document($items, $course, $offers, $school));
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  list<array<string, mixed>>  $offers
     * @param  array<string, mixed>  $school
     */
    public static function document(array $items, array $course = [], array $offers = [['key' => 'o', 'course' => 'c']], array $school = []): \stdClass
    {
        return self::object(self::decoded([
            'format' => 'silent-keep.plan/1',
            'school' => ['zone' => 'Europe/Oslo', 'guests' => true, ...$school],
            'offers' => $offers,
            'courses' => [['key' => 'c', 'state' => 'live', 'entry' => 'offer', ...$course, 'items' => $items]],
        ]));
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  list<array<string, mixed>>  $offers
     * @param  array<string, mixed>  $school
     */
    public static function decider(array $items, array $course = [], array $offers = [['key' => 'o', 'course' => 'c']], array $school = []): Decider
    {
        $plan = self::plan($items, $course, $offers, $school);

        return new Decider($plan, $plan->courses['c']);
    }

    /** @return array<string, mixed> */
    public static function lesson(string $key, mixed ...$more): array
    {
        return self::named(['key' => $key, 'kind' => 'lesson', ...$more]);
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return array<string, mixed>
     */
    public static function module(string $key, array $items, mixed ...$more): array
    {
        return self::named(['key' => $key, 'kind' => 'module', 'items' => $items, ...$more]);
    }

    /** @return array<string, mixed> */
    public static function board(string $key, mixed ...$more): array
    {
        return self::named(['key' => $key, 'kind' => 'board', ...$more]);
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function named(array $fields): array
    {
        return array_filter($fields, is_string(...), ARRAY_FILTER_USE_KEY);
    }

    /** @return array{Decider, Offer} */
    public static function deciderOf(Plan $plan, string $offerKey): array
    {
        $offer = $plan->offer($offerKey) ?? throw new \OutOfBoundsException($offerKey);

        return [new Decider($plan, $plan->course($offer->course) ?? throw new \OutOfBoundsException($offer->course)), $offer];
    }

    public static function recorded(string $name): mixed
    {
        return json_decode((string) file_get_contents(__DIR__."/../cases/{$name}.json"), false, 512, JSON_THROW_ON_ERROR);
    }

    public static function decoded(mixed $value): mixed
    {
        return json_decode(self::json($value), false, 512, JSON_THROW_ON_ERROR);
    }

    public static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    public static function object(mixed $value): \stdClass
    {
        return $value instanceof \stdClass ? $value : throw new \UnexpectedValueException('Not an object.');
    }

    /** @return list<\stdClass> */
    public static function objects(mixed $value): array
    {
        return is_array($value) ? array_values(array_map(self::object(...), $value)) : throw new \UnexpectedValueException('Not a list.');
    }

    /** @return list<string> */
    public static function strings(mixed $value): array
    {
        return array_values(array_map(strval(...), is_array($value) ? $value : [$value]));
    }
}
