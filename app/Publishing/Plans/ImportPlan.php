<?php

declare(strict_types=1);

namespace App\Publishing\Plans;

use App\Access\Plans;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Person;
use App\Models\PlanDocument;
use App\Models\School;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use App\Publishing\Seen\Losses;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
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
        $plan = PlanDocument::fromJson($json);
        if ($publishOverExisting && ! $takesAway) {
            $this->refuseLosses($plan);
        }

        return DB::transaction(function () use ($plan, $school, $author, $publishOverExisting, $asDrafts): array {
            self::settleSchool($plan, $school);
            PlanFits::refuseForeignOffers($plan);
            $outcomes = [];
            foreach ($plan->courses as $index => $document) {
                $outcomes[$index] = self::outcome($document, self::known($document), $index, $publishOverExisting, $asDrafts);
            }
            // Rules of one course may name offers of another, also of one further on in the file.
            foreach ($plan->courses as $index => $document) {
                if ($outcomes[$index] !== 'unchanged') {
                    PlanFits::makeOffers($document, Course::query()->firstOrCreate(['key' => $document->read()->key()]));
                }
            }
            $this->plans->forgetNames();

            return array_map(fn (CourseDocument $document, string $outcome): array => ['course' => $this->settle($document, $outcome, $asDrafts, $author), 'outcome' => $outcome], $plan->courses, $outcomes);
        });
    }

    /** @return string the key of the course */
    private function settle(CourseDocument $document, string $outcome, bool $asDraft, ?Person $author): string
    {
        $course = self::known($document) ?? throw new \LogicException('Every course of the file is there by now.');
        match (true) {
            $outcome === 'unchanged' => null,
            $asDraft => $this->draft($document, $course, $author),
            default => ($this->publish)(Proposal::file($course, $document), Say::text('published.import_plan.imported_from_plan_file'), $author),
        };

        return $course->key;
    }

    /** @throws InvalidPlan with whom it would take something from, counted on the real people */
    private function refuseLosses(PlanDocument $plan): void
    {
        foreach ($plan->courses as $index => $document) {
            $course = self::known($document);
            if ($course?->liveRevision === null) {
                continue;
            }
            $losers = $this->losses->count(Proposal::file($course, $document));
            if ($losers > 0) {
                throw new InvalidPlan([new Offence("/courses/{$index}", Say::text('published.import_plan.would_take', ['losers' => $losers]))]);
            }
        }
    }

    /** A school's first plan says in which zone it lives; later ones must live there too. */
    private static function settleSchool(PlanDocument $plan, School $school): void
    {
        if (Course::query()->doesntExist()) {
            $school->fill(['zone' => $plan->zone, 'guests' => $plan->guests])->save();
        } else {
            PlanFits::refuseAnotherSchool($plan, $school);
        }
    }

    /** The course of this key that the school has already. */
    private static function known(CourseDocument $document): ?Course
    {
        return Course::query()->with('liveRevision')->where('key', $document->read()->key())->first();
    }

    /**
     * @return string `new`, `unchanged` or `revised`
     *
     * @throws InvalidPlan if it is there already and was not meant
     */
    private static function outcome(CourseDocument $document, ?Course $course, int $index, bool $publishOverExisting, bool $asDraft): string
    {
        if ($course === null) {
            // Another course may be found at what would be its address.
            return Course::foundAt($document->read()->key()) === null ? 'new' : throw new InvalidPlan([new Offence("/courses/{$index}/key", Say::text('drafts.draft_conflict.address_taken', ['address' => $document->read()->key()]))]);
        }
        if ($asDraft) {
            throw new InvalidPlan([new Offence("/courses/{$index}/key", Say::text('published.import_plan.school_has_course_key', ['key' => $course->key]))]);
        }
        if ($course->liveRevision !== null && CourseDocument::fromJson($course->liveRevision->document)->equals($document)) {
            return 'unchanged';
        }

        return $publishOverExisting ? 'revised' : throw new InvalidPlan([new Offence("/courses/{$index}/key", Say::text('published.import_plan.school_has_course_key_with', ['key' => $course->key]))]);
    }

    private function draft(CourseDocument $document, Course $course, ?Person $author): void
    {
        Draft::query()->create(['course_id' => $course->id, 'base_revision_id' => null, 'document' => $document->toJson(), 'version' => 1]);
        $this->log->note('course.made', $author, $course, after: ['title' => $document->title(), 'from' => Say::text('published.import_plan.a_plan_file')]);
    }
}
