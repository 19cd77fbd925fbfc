<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\CourseDocument;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Revision;
use App\Models\School;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Format\Fields;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;

/** Reads a plan document into the school: all of it, or nothing. */
final readonly class ImportPlan
{
    public function __construct(private ClockInterface $clock, private Journal $journal)
    {
    }

    /**
     * @param  bool  $asDrafts  courses that are new wait to be published; the others are refused
     * @return list<array{course: string, outcome: string}> the outcome being `new`, `unchanged` or `revised`
     *
     * @throws InvalidPlan if the document is bad, or does not fit this school
     */
    public function __invoke(string $json, School $school, ?Person $author = null, bool $publishOverExisting = false, bool $asDrafts = false): array
    {
        $known = array_values(Offer::query()->pluck('key')->map(strval(...))->all());
        PlanReader::fromJson($json, $known);
        $plan = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        assert($plan instanceof \stdClass && is_array($plan->courses) && is_array($plan->offers) && $plan->school instanceof \stdClass);

        return DB::transaction(function () use ($plan, $school, $author, $publishOverExisting, $asDrafts): array {
            $this->settleSchool($plan->school, $school);
            $outcomes = [];
            foreach (array_values($plan->courses) as $index => $course) {
                assert($course instanceof \stdClass && is_string($course->key));
                $offers = array_values(array_filter($plan->offers, static fn (\stdClass $offer): bool => $offer->course === $course->key));
                $this->refuseForeignOffers($plan->offers, $course->key);
                $document = new CourseDocument($course, $offers);
                $outcomes[] = ['course' => $course->key, 'outcome' => $asDrafts
                    ? $this->draftCourse($document, $course->key, $index, $author)
                    : $this->importCourse($document, $course->key, $index, $author, $publishOverExisting)];
            }

            return $outcomes;
        });
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

    private function importCourse(CourseDocument $document, string $key, int $index, ?Person $author, bool $publishOverExisting): string
    {
        $course = Course::query()->where('key', $key)->first();
        $live = $course?->liveRevision;
        if ($live !== null && CourseDocument::fromJson($live->document)->equals($document)) {
            return 'unchanged';
        }
        if ($course !== null && ! $publishOverExisting) {
            throw new InvalidPlan([new Offence("/courses/{$index}/key", "this school has a course {$key} with other rules already; import with --publish to make these its next revision")]);
        }
        $outcome = $course === null ? 'new' : 'revised';
        $course ??= Course::query()->create(['key' => $key]);
        self::makeOffers($document, $course);
        $revision = Revision::query()->create([
            'course_id' => $course->id,
            'number' => 1 + (int) Revision::query()->where('course_id', $course->id)->max('number'),
            'document' => $document->toJson(),
            'author_id' => $author?->id,
            'note' => 'Imported from a plan file',
            'published_at' => $this->clock->now(),
        ]);
        $course->liveRevision()->associate($revision);
        $course->save();
        $this->journal->note('course.imported', $author, $course, before: ['revision' => $live?->number], after: ['revision' => $revision->number]);

        return $outcome;
    }

    private function draftCourse(CourseDocument $document, string $key, int $index, ?Person $author): string
    {
        if (Course::query()->where('key', $key)->exists()) {
            throw new InvalidPlan([new Offence("/courses/{$index}/key", "this school has a course {$key} already")]);
        }
        $course = Course::query()->create(['key' => $key]);
        self::makeOffers($document, $course);
        Draft::query()->create(['course_id' => $course->id, 'base_revision_id' => null, 'document' => $document->toJson(), 'version' => 1]);
        $this->journal->note('course.made', $author, $course, after: ['title' => $document->title(), 'from' => 'a plan file']);

        return 'new';
    }

    private static function makeOffers(CourseDocument $document, Course $course): void
    {
        foreach ($document->offers as $offer) {
            Offer::query()->firstOrCreate(['key' => $offer->key], ['course_id' => $course->id, 'name' => CourseDocument::titleOf($offer)]);
        }
    }
}
