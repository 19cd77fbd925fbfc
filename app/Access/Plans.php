<?php

declare(strict_types=1);

namespace App\Access;

use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Revision;
use App\Models\School;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;
use WeakMap;

/**
 * Turns documents into plans that can be asked. What is published is compiled once a revision and kept between requests; a draft
 * is compiled once a request.
 */
final class Plans
{
    /** @var array<string, Decider> by the document's hash */
    private array $deciders = [];

    /** @var array<string, ?Decider> of what is published, by its stamp */
    private array $published = [];

    /** @var WeakMap<Decider, CompiledDecider> */
    private WeakMap $compiled;

    /** @var ?array<array-key, string> by key */
    private ?array $offerNames = null;

    /** What is the same in every stamp. */
    private ?string $common = null;

    public function __construct(private readonly SchoolOf $school, private readonly Kept $kept)
    {
        $this->compiled = new WeakMap;
    }

    /**
     * As the school and its offers were at another time.
     *
     * @param  array<array-key, string>  $offerNames  by key
     */
    public static function then(School $school, array $offerNames, Kept $kept): self
    {
        $plans = new self(SchoolOf::then($school), $kept);
        $plans->offerNames = $offerNames;

        return $plans;
    }

    /**
     * Of the published rules; null if the course was never published.
     */
    public function live(Course $course): ?Decider
    {
        $stamp = $this->stampOf($course);
        if ($stamp === null) {
            return null;
        }

        return $this->published[$stamp] ??= $this->keptOf($course, $stamp);
    }

    /**
     * What the published rules of a course come to depends on: equal stamps, equal answers to equal viewers at one instant.
     *
     * @return array<int, string> of all that were ever published, by the course's id
     */
    public function stamps(): array
    {
        $stamps = [];
        // Not as models: there may be many, and this is all that lists want of most of them.
        foreach (Course::query()->toBase()->select('id', 'key', 'live_revision_id', 'updated_at')->whereNotNull('live_revision_id')->orderBy('id')->get() as $row) {
            $stamps[Value::int($row->id)] = $this->stamp(Value::text($row->key), Value::int($row->live_revision_id), $row->updated_at);
        }

        return $stamps;
    }

    /** What was compiled of it need not be in memory any more: for whoever goes through many courses, one after another. */
    public function letGo(Course $course): void
    {
        $stamp = $this->stampOf($course);
        if ($stamp !== null) {
            unset($this->published[$stamp]);
        }
    }

    private function stampOf(Course $course): ?string
    {
        return $course->live_revision_id === null ? null : $this->stamp($course->key, $course->live_revision_id, $course->getRawOriginal('updated_at'));
    }

    /** @param  mixed  $changed  when the course was: in a database put in another's place the same number may be another revision */
    private function stamp(string $course, int $revision, mixed $changed): string
    {
        $school = ($this->school)();
        $this->common ??= hash('xxh128', serialize([$school->zone, timezone_version_get(), $school->guests, $this->offerNames()]));

        return "{$course} {$revision} {$this->common} ".Value::text($changed);
    }

    private function keptOf(Course $course, string $stamp): ?Decider
    {
        $plan = $this->kept->all("plan-{$course->id}", CompiledPlan::class, [$course->id => $stamp], function () use ($course): array {
            $document = $course->relationLoaded('liveRevision') ? $course->liveRevision?->document : Revision::query()->whereKey($course->live_revision_id)->value('document');
            $decider = is_string($document) ? $this->of(CourseDocument::fromJson($document)) : null;

            return $decider === null ? [] : [$course->id => new CompiledPlan($decider, $this->compiled($decider))];
        })[$course->id] ?? null;
        if ($plan !== null) {
            $this->compiled[$plan->decider] = $plan->compiled;
        }

        return $plan?->decider;
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

        return $this->deciders[$hash] ??= $this->prepare($document);
    }

    /** As it would be in a school that lets guests in. */
    public function asIfGuestsWereLetIn(CourseDocument $document): Decider
    {
        $school = (clone ($this->school)())->forceFill(['guests' => true]);
        $plan = PlanReader::fromDecoded($this->named($document)->toPlan($school), array_map(strval(...), array_keys($this->offerNames())));

        return new Decider($plan, array_values($plan->courses)[0]);
    }

    /**
     * As it would be in a school whose wall clock is another.
     *
     * @throws \SilentKeep\Core\Format\InvalidPlan
     */
    public function inZone(CourseDocument $document, string $zone): Plan
    {
        return PlanReader::fromDecoded($this->named($document)->toPlan((clone ($this->school)())->forceFill(['zone' => $zone])), array_map(strval(...), array_keys($this->offerNames())));
    }

    private function prepare(CourseDocument $document): Decider
    {
        $plan = $this->read($document);

        return new Decider($plan, array_values($plan->courses)[0]);
    }

    /** The same decisions as masks: for many viewers, and for looking ahead. */
    public function compiled(Decider $decider): CompiledDecider
    {
        return $this->compiled[$decider] ??= CompiledDecider::of($decider->prepared);
    }

    public function ask(Decider $decider, Viewer $viewer, int $at): Answer
    {
        return new Answer($decider, $this->compiled($decider), $viewer, $at);
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
        return $this->offerNames ??= Offer::query()->toBase()->orderBy('id')->pluck('name', 'key')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
    }

    /** Offers have been made or renamed. */
    public function forgetNames(): void
    {
        $this->offerNames = $this->common = null;
        $this->deciders = [];
    }
}
