<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Document\DocumentOffer;

/** A plan file, as the open format has it, taken apart into the documents of its courses. */
final readonly class PlanDocument
{
    /**
     * @param  string  $zone  IANA, in which its wall-clock times are meant
     * @param  list<CourseDocument>  $courses  in the order of the file, each with its own offers
     * @param  list<DocumentOffer>  $offers  of all courses, in the order of the file
     */
    private function __construct(public string $zone, public bool $guests, public array $courses, public array $offers)
    {
    }

    /** Of a file that the reader of plans has let pass: what is not as the format has it is not looked for again. */
    public static function fromJson(string $json): self
    {
        $plan = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        if (! $plan instanceof \stdClass || ! ($plan->school ?? null) instanceof \stdClass || ! is_string($plan->school->zone ?? null)) {
            throw new \UnexpectedValueException('Not a plan.');
        }
        $offers = self::objects($plan->offers ?? null);
        $courses = array_map(static fn (\stdClass $course): CourseDocument => new CourseDocument(
            $course,
            array_values(array_filter($offers, static fn (\stdClass $offer): bool => $offer->course === $course->key)),
        ), self::objects($plan->courses ?? null));

        return new self($plan->school->zone, ($plan->school->guests ?? false) === true, $courses, array_map(static fn (\stdClass $offer): DocumentOffer => new DocumentOffer($offer), $offers));
    }

    /** @return list<\stdClass> */
    private static function objects(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, static fn (mixed $one): bool => $one instanceof \stdClass)) : [];
    }
}
