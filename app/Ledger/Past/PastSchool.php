<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Kept;
use App\Access\Plans;
use App\Models\CourseDocument;
use App\Models\Revision;
use App\Models\School;

/** The school, its offers and the rules of one course as they were at a moment. */
final readonly class PastSchool
{
    /**
     * @param  array<int, Fact>  $offers  by number
     * @param  ?Fact  $course  null: it was not there yet
     */
    private function __construct(public School $school, private array $offers, private ?Fact $course)
    {
    }

    /** @param  School  $now  of whom names and addresses are told as they are now */
    public static function at(Moment $moment, int $course, School $now): self
    {
        $facts = Facts::ofSchool(['schools', 'offers', 'courses'], $moment, $course);
        $then = $facts['schools'][$now->id] ?? null;
        $school = $then === null ? clone $now : (clone $now)->forceFill(['zone' => $then->text('zone'), 'guests' => $then->flag('guests'), 'grace_days' => $then->intOrNull('grace_days') ?? $now->grace_days, 'warn_days' => $then->intOrNull('warn_days') ?? $now->warn_days]);

        return new self($school, $facts['offers'] ?? [], $facts['courses'][$course] ?? null);
    }

    /** @return ?array{string, string} key, and the labels that it gives as JSON */
    public function offer(int $id): ?array
    {
        $offer = $this->offers[$id] ?? null;

        return $offer === null ? null : [$offer->text('key'), $offer->text('labels')];
    }

    public function plans(Kept $kept): Plans
    {
        $names = [];
        foreach ($this->offers as $offer) {
            $names[$offer->text('key')] = $offer->text('name');
        }

        return Plans::then($this->school, $names, $kept);
    }

    /** By which the course was decided; null: it was not published. */
    public function revision(): ?Revision
    {
        $live = $this->course?->intOrNull('live_revision_id');

        return $live === null ? null : Revision::query()->find($live);
    }

    /** @return ?CourseDocument of the revision that was live */
    public function document(): ?CourseDocument
    {
        $revision = $this->revision();

        return $revision === null ? null : CourseDocument::fromJson($revision->document);
    }
}
