<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;

/** Turns documents into plans that can be asked, each compiled once a request. */
final class Plans
{
    /** @var array<string, Decider> by the document's hash */
    private array $deciders = [];

    /** @var ?array<array-key, string> by key */
    private ?array $offerNames = null;

    public function __construct(private readonly SchoolOf $school)
    {
    }

    /**
     * Of the published rules; null if the course was never published.
     */
    public function live(Course $course): ?Decider
    {
        $revision = $course->liveRevision;

        return $revision === null ? null : $this->of(CourseDocument::fromJson($revision->document));
    }

    public function schoolLetsGuestsIn(): bool
    {
        return ($this->school)()->guests;
    }

    /** @throws \SilentKeep\Core\Format\InvalidPlan */
    public function of(CourseDocument $document): Decider
    {
        $school = ($this->school)();
        $hash = hash('xxh128', $school->zone.'|'.($school->guests ? '1' : '0').'|'.$document->toJson());

        return $this->deciders[$hash] ??= $this->compile($document);
    }

    private function compile(CourseDocument $document): Decider
    {
        $plan = $this->read($document);
        $course = array_values($plan->courses)[0];

        return new Decider($plan, $course);
    }

    /** @throws \SilentKeep\Core\Format\InvalidPlan */
    public function read(CourseDocument $document): Plan
    {
        return PlanReader::fromDecoded($this->named($document)->toPlan(($this->school)()), array_map(strval(...), array_keys($this->offerNames())));
    }

    /** With its offers under the names that they are sold under now. */
    public function named(CourseDocument $document): CourseDocument
    {
        return $document->withNames($this->offerNames());
    }

    /** @return array<array-key, string> by key */
    private function offerNames(): array
    {
        return $this->offerNames ??= Offer::query()->pluck('name', 'key')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
    }

    /** Offers have been made or renamed. */
    public function forgetNames(): void
    {
        $this->offerNames = null;
        $this->deciders = [];
    }
}
