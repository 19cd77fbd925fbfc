<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\Plans;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Person;
use App\Models\School;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Format\Fields;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;

/** Reads a plan document into the school: all of it, or nothing. */
final readonly class ImportPlan
{
    public function __construct(private PublishRevision $publish, private Losses $losses, private Plans $plans, private ActivityLog $log)
    {
    }

    /**
     * @param  bool  $asDrafts  courses that are new wait to be published; the others are refused
     * @param  bool  $takesAway  also what takes something from people who have it now
     * @return list<array{course: string, outcome: string}> the outcome being `new`, `unchanged` or `revised`
     *
     * @throws InvalidPlan if the document is bad, or does not fit this school
     */
    public function __invoke(string $json, School $school, ?Person $author = null, bool $publishOverExisting = false, bool $asDrafts = false, bool $takesAway = false): array
    {
        $known = Value::texts(Offer::query()->pluck('key'));
        PlanReader::fromJson($json, $known);
        $plan = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        assert($plan instanceof \stdClass && is_array($plan->courses) && is_array($plan->offers) && $plan->school instanceof \stdClass);

        if ($publishOverExisting && ! $takesAway) {
            $this->refuseLosses($plan);
        }

        return DB::transaction(function () use ($plan, $school, $author, $publishOverExisting, $asDrafts): array {
            $this->settleSchool($plan->school, $school);
            $documents = $outcomes = [];
            foreach (array_values($plan->courses) as $index => $course) {
                assert($course instanceof \stdClass && is_string($course->key));
                $this->refuseForeignOffers($plan->offers, $course->key);
                $documents[$index] = self::document($plan, $course);
                $found = Course::query()->with('liveRevision')->where('key', $course->key)->first();
                $outcomes[$index] = $this->outcome($documents[$index], $found, $index, $publishOverExisting, $asDrafts);
            }
            // Rules of one course may name offers of another, also of one further on in the file.
            foreach ($documents as $index => $document) {
                if ($outcomes[$index] !== 'unchanged') {
                    self::makeOffers($document, Course::query()->firstOrCreate(['key' => $document->course->key]));
                }
            }
            $this->plans->forgetNames();

            return array_map(fn (CourseDocument $document, string $outcome): array => ['course' => $this->settle($document, $outcome, $asDrafts, $author), 'outcome' => $outcome], $documents, $outcomes);
        });
    }

    /** @return string the key of the course */
    private function settle(CourseDocument $document, string $outcome, bool $asDraft, ?Person $author): string
    {
        $course = Course::query()->with('liveRevision')->where('key', $document->course->key)->firstOrFail();
        match (true) {
            $outcome === 'unchanged' => null,
            $asDraft => $this->draft($document, $course, $author),
            default => ($this->publish)(Proposal::file($course, $document), 'Imported from a plan file', $author),
        };

        return $course->key;
    }

    /** @throws InvalidPlan with whom it would take something from, counted on the real people */
    private function refuseLosses(\stdClass $plan): void
    {
        foreach (is_array($plan->courses) ? array_values($plan->courses) : [] as $index => $one) {
            assert($one instanceof \stdClass && is_string($one->key));
            $course = Course::query()->with('liveRevision')->where('key', $one->key)->first();
            if ($course?->liveRevision === null) {
                continue;
            }
            $losers = $this->losses->count(Proposal::file($course, self::document($plan, $one)));
            if ($losers > 0) {
                throw new InvalidPlan([new Offence("/courses/{$index}", 'would take something from '.($losers === 1 ? 'one person' : "{$losers} people").', or put it off; look with keep:impact, then import with --take-away')]);
            }
        }
    }

    /** A school's first plan says in which zone it lives; later ones must live there too. */
    private function settleSchool(\stdClass $settings, School $school): void
    {
        $guests = ($settings->guests ?? false) === true;
        if (Course::query()->doesntExist()) {
            $school->fill(['zone' => $settings->zone, 'guests' => $guests])->save();

            return;
        }
        if ($settings->zone !== $school->zone) {
            throw new InvalidPlan([new Offence('/school/zone', "this school lives in {$school->zone}; wall-clock times of another zone would move")]);
        }
        if ($guests !== $school->guests) {
            throw new InvalidPlan([new Offence('/school/guests', 'this school '.($school->guests ? 'lets guests in' : 'lets no guests in').'; the plan was made for the opposite')]);
        }
    }

    /** @param  array<array-key, \stdClass>  $offers */
    private function refuseForeignOffers(array $offers, string $courseKey): void
    {
        foreach (array_values($offers) as $index => $offer) {
            if ($offer->course === $courseKey && Offer::query()->where('key', $offer->key)->whereRelation('course', 'key', '!=', $courseKey)->exists()) {
                throw new InvalidPlan([new Offence("/offers/{$index}/key", 'another course of this school has an offer of this key: '.Fields::describe($offer->key))]);
            }
        }
    }

    /**
     * @return string `new`, `unchanged` or `revised`
     *
     * @throws InvalidPlan if it is there already and was not meant
     */
    private function outcome(CourseDocument $document, ?Course $course, int $index, bool $publishOverExisting, bool $asDraft): string
    {
        if ($course === null) {
            return 'new';
        }
        if ($asDraft) {
            throw new InvalidPlan([new Offence("/courses/{$index}/key", "this school has a course {$course->key} already")]);
        }
        if ($course->liveRevision !== null && CourseDocument::fromJson($course->liveRevision->document)->equals($document)) {
            return 'unchanged';
        }

        return $publishOverExisting ? 'revised' : throw new InvalidPlan([new Offence("/courses/{$index}/key", "this school has a course {$course->key} with other rules already; import with --publish to make these its next revision")]);
    }

    private function draft(CourseDocument $document, Course $course, ?Person $author): void
    {
        Draft::query()->create(['course_id' => $course->id, 'base_revision_id' => null, 'document' => $document->toJson(), 'version' => 1]);
        $this->log->note('course.made', $author, $course, after: ['title' => $document->title(), 'from' => 'a plan file']);
    }

    private static function document(\stdClass $plan, \stdClass $course): CourseDocument
    {
        return new CourseDocument($course, array_values(array_filter(is_array($plan->offers) ? $plan->offers : [], static fn (mixed $offer): bool => $offer instanceof \stdClass && $offer->course === $course->key)));
    }

    private static function makeOffers(CourseDocument $document, Course $course): void
    {
        foreach ($document->offers as $offer) {
            Offer::query()->firstOrCreate(['key' => $offer->key], ['course_id' => $course->id, 'name' => CourseDocument::titleOf($offer)]);
        }
    }
}
