<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\SchoolZone;

/** Reads a `silent-keep.plan/1` document, or refuses it whole. */
final class PlanReader
{
    public const FORMAT = 'silent-keep.plan/1';

    /** Bytes; a course of 400 rows takes about a hundredth of it. */
    public const LARGEST = 16 * 1024 * 1024;

    private const DEEPEST = 200;

    private function __construct()
    {
    }

    /**
     * @param  list<string>  $offersElsewhere  keys of offers outside this document that its conditions may name
     *
     * @throws InvalidPlan with every offence and where it stands
     */
    public static function fromJson(string $json, array $offersElsewhere = []): Plan
    {
        if (strlen($json) > self::LARGEST) {
            throw new InvalidPlan([new Offence('', 'is larger than '.intdiv(self::LARGEST, 1024 * 1024).' MiB, more than any plan needs')]);
        }
        try {
            $document = json_decode($json, false, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw new InvalidPlan([new Offence('', 'is not JSON that can be read: '.$e->getMessage())]);
        }
        $offences = new Offences;
        foreach (DuplicateMembers::in($json) as $pointer) {
            $offences->add($pointer, 'stands twice in its object');
        }

        return self::read($document, $offences, $offersElsewhere);
    }

    /**
     * @param  mixed  $document  decoded, with objects as stdClass
     * @param  list<string>  $offersElsewhere  keys of offers outside this document that its conditions may name
     *
     * @throws InvalidPlan
     */
    public static function fromDecoded(mixed $document, array $offersElsewhere = []): Plan
    {
        return self::read($document, new Offences, $offersElsewhere);
    }

    /** @param  list<string>  $offersElsewhere */
    private static function read(mixed $document, Offences $offences, array $offersElsewhere): Plan
    {
        $fields = Fields::of($document, '', $offences);
        $plan = $fields === null ? null : self::plan($fields, $offersElsewhere);
        $found = $offences->all();
        if ($plan === null || $found !== []) {
            throw new InvalidPlan($found === [] ? [new Offence('', 'cannot be read')] : $found);
        }

        return $plan;
    }

    /** @param  list<string>  $offersElsewhere */
    private static function plan(Fields $fields, array $offersElsewhere): Plan
    {
        $fields->only('format', 'school', 'offers', 'courses')->needs('format', 'school', 'offers', 'courses');
        $format = $fields->string('format');
        if ($format !== null && $format !== self::FORMAT) {
            $fields->offend('format', 'must be '.self::FORMAT.', not '.Fields::describe($format));
        }
        $school = $fields->object('school')?->only('zone', 'guests')->needs('zone');
        $zone = self::zone($school);
        $guests = $school?->bool('guests') ?? false;

        $courseFields = $fields->objects('courses');
        $courseKeys = self::uniqueKeys($courseFields, 'course');
        $offerFields = $fields->objects('offers');
        $offerKeys = self::uniqueKeys($offerFields, 'offer');
        $byCourse = self::offersByCourse($offerFields, $courseKeys);

        $courses = $offers = [];
        foreach ($courseFields as $one) {
            $key = $one->raw('key');
            $course = (new CourseReader($zone, $offerKeys + array_fill_keys($offersElsewhere, true)))->read($one, is_string($key) ? $byCourse[$key] ?? [] : []);
            $courses[$course->key] = $course;
            foreach ($course->offers as $offer) {
                $offers[$offer->key] = $offer;
            }
        }

        return new Plan($zone, $guests, $courses, $offers);
    }

    private static function zone(?Fields $school): SchoolZone
    {
        $name = $school?->string('zone');
        try {
            return SchoolZone::named($name ?? 'UTC');
        } catch (InvalidTime $e) {
            $school?->offend('zone', $e->getMessage());

            return SchoolZone::named('UTC');
        }
    }

    /**
     * @param  list<Fields>  $objects
     * @return array<array-key, true>
     */
    private static function uniqueKeys(array $objects, string $what): array
    {
        $keys = [];
        foreach ($objects as $fields) {
            $key = $fields->raw('key');
            if (is_string($key)) {
                if (isset($keys[$key])) {
                    $fields->offend('key', "is used for two {$what}s: {$key}");
                }
                $keys[$key] = true;
            }
        }

        return $keys;
    }

    /**
     * @param  list<Fields>  $offers
     * @param  array<array-key, true>  $courseKeys
     * @return array<array-key, list<Fields>>
     */
    private static function offersByCourse(array $offers, array $courseKeys): array
    {
        $byCourse = [];
        foreach ($offers as $fields) {
            $fields->only('key', 'course', 'title', 'display', 'labels', 'tier', 'plan', 'scope', 'lasts')->needs('key', 'course');
            $fields->object('display');
            $fields->string('key');
            $course = $fields->string('course');
            if ($course !== null && ! isset($courseKeys[$course])) {
                $fields->offend('course', 'names a course that is not there: '.$course);
            } elseif ($course !== null) {
                $byCourse[$course][] = $fields;
            }
        }

        return $byCourse;
    }
}
