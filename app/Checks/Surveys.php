<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\Course;
use App\Models\CourseDocument;
use SilentKeep\Core\Checks\Circumstances;
use SilentKeep\Core\Checks\Survey;

/** A course's rules together with what the school knows and no plan says. */
final readonly class Surveys
{
    public function __construct(private Plans $plans, private SchoolClock $clock, private SchoolOf $school, private KnownOfCourses $known)
    {
    }

    /** @param  CourseDocument  $document  the rules that are asked about, in force or not */
    public function of(Course $course, CourseDocument $document): Survey
    {
        $decider = $this->plans->of($document);
        $live = $course->liveRevision?->document;

        return new Survey($decider->prepared->plan, $decider->course, new Circumstances(
            $this->clock->now(), $this->known->labels(), $this->known->sold($course->id), $this->known->trials($course->id), ($this->school)()->sample_share, $this->known->minutes($course->id),
            $live === null || $this->isInForce($course, $document) ? null : $this->plans->of(CourseDocument::fromJson($live))->course,
        ));
    }

    /** What the findings of a draft depend on, the hour included: equal stamps, equal findings. */
    public function stamp(Course $course, CourseDocument $document): string
    {
        return $this->stampOf($course, $this->plans->named($document)->toJson(), $this->common());
    }

    /**
     * The same of what is live, without reading it.
     *
     * @param  list<Course>  $courses
     * @return array<int, string> by id; those that were never published are left out
     */
    public function liveStamps(array $courses): array
    {
        $this->known->prepare(array_map(static fn (Course $course): int => $course->id, $courses));
        $published = $this->plans->stamps();
        $common = $this->common();
        $stamps = [];
        foreach ($courses as $course) {
            if (isset($published[$course->id])) {
                $stamps[$course->id] = $this->stampOf($course, $published[$course->id], $common);
            }
        }

        return $stamps;
    }

    /** What findings depend on in every course. */
    private function common(): string
    {
        $school = ($this->school)();

        return hash('xxh128', serialize([$school->zone, $school->guests, $school->sample_share, intdiv($this->clock->now(), 3600), $this->known->labels()]));
    }

    private function stampOf(Course $course, string $rules, string $common): string
    {
        return hash('xxh128', serialize([$rules, $common, $course->live_revision_id, $this->known->sold($course->id), $this->known->trials($course->id), $this->known->minutes($course->id)]));
    }

    /** Whether a document says what is in force. */
    public function isInForce(Course $course, CourseDocument $document): bool
    {
        $live = $course->liveRevision?->document;
        if ($live === $document->toJson()) {
            return true;
        }

        // Offers may have other names by now than when it was published.
        return $live !== null && $this->plans->named(CourseDocument::fromJson($live))->toJson() === $this->plans->named($document)->toJson();
    }
}
