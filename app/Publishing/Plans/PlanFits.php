<?php

declare(strict_types=1);

namespace App\Publishing\Plans;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\PlanDocument;
use App\Models\School;
use App\Words\Say;
use SilentKeep\Core\Format\Fields;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;

/** Whether a valid plan document fits the school that it is put into. */
final class PlanFits
{
    /** @throws InvalidPlan if it was made for a school in another zone, or one that does otherwise with guests */
    public static function refuseAnotherSchool(PlanDocument $plan, School $school): void
    {
        if ($plan->zone !== $school->zone) {
            throw new InvalidPlan([new Offence('/school/zone', Say::text('published.import_plan.school_lives_in_zone', ['zone' => $school->zone]))]);
        }
        if ($plan->guests !== $school->guests) {
            throw new InvalidPlan([new Offence('/school/guests', Say::text($school->guests ? 'published.import_plan.lets_guests_in' : 'published.import_plan.lets_no_guests'))]);
        }
    }

    /** @throws InvalidPlan if an offer of another course has the key of one of its own */
    public static function refuseForeignOffers(PlanDocument $plan): void
    {
        $courses = Offer::query()->join('courses', 'courses.id', '=', 'offers.course_id')->pluck('courses.key as course', 'offers.key as offer');
        foreach ($plan->offers as $index => $offer) {
            if ($courses->get($offer->key(), $offer->course()) !== $offer->course()) {
                throw new InvalidPlan([new Offence("/offers/{$index}/key", Say::text('published.import_plan.another_course_school_has', ['describe' => Fields::describe($offer->key())]))]);
            }
        }
    }

    /** Its offers that are new have a selling side from now on. */
    public static function makeOffers(CourseDocument $document, Course $course): void
    {
        foreach ($document->readOffers() as $offer) {
            Offer::query()->firstOrCreate(['key' => $offer->key()], ['course_id' => $course->id, 'name' => $offer->title()]);
        }
    }
}
