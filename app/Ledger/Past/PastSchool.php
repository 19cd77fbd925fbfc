<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Kept;
use App\Access\Plans;
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
    public static function of(Facts $facts, int $course, School $now): self
    {
        $then = $facts->of('schools')[$now->id] ?? null;
        $school = $then === null ? clone $now : (clone $now)->forceFill(['zone' => $then->text('zone'), 'guests' => $then->flag('guests'), 'grace_days' => $then->intOrNull('grace_days') ?? $now->grace_days, 'warn_days' => $then->intOrNull('warn_days') ?? $now->warn_days]);

        return new self($school, $facts->of('offers'), $facts->of('courses')[$course] ?? null);
    }

    /** @return ?array{string, string} key, and the labels that it gives as JSON */
    public function offer(int $id): ?array
    {
        $offer = $this->offers[$id] ?? null;

        return $offer === null ? null : [$offer->text('key'), $offer->text('labels')];
    }

    public function plans(Kept $kept): Plans
    {
        return Plans::then($this->school, $this->names(), $kept);
    }

    /** Equal where rules come to the same. */
    public function stamp(): string
    {
        return serialize([$this->school->zone, $this->school->guests, $this->names()]);
    }

    /** @return array<int, string> as JSON, by the number of the offer that gives them */
    public function givenLabels(): array
    {
        return array_map(static fn (Fact $offer): string => $offer->text('labels'), $this->offers);
    }

    /** @return array<array-key, string> of offers, by key */
    private function names(): array
    {
        $names = [];
        foreach ($this->offers as $offer) {
            $names[$offer->text('key')] = $offer->text('name');
        }

        return $names;
    }

    /** Number of the revision that was live; null: the course was not published. */
    public function revision(): ?int
    {
        return $this->course?->intOrNull('live_revision_id');
    }
}
