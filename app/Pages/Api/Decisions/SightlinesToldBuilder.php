<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Sightlines\PastColumns;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Time\Instant;

/** Puts together what systems of others are told of a course against all kinds of viewers. */
final readonly class SightlinesToldBuilder
{
    public function __construct(private Plans $plans, private Vantages $vantages, private VantageWords $words, private SchoolClock $clock, private PastColumns $past)
    {
    }

    /**
     * Null where there are no such rules.
     *
     * @param  ?list<VantagePoint>  $points  null: the usual ones
     */
    public function told(Course $course, ?array $points, bool $ofDraft, ?int $at): ?SightlinesTold
    {
        $document = $ofDraft ? $course->draft?->document : null;
        $decider = $ofDraft ? ($document === null ? null : $this->plans->of(CourseDocument::fromJson($document))) : $this->plans->live($course);
        if ($decider === null) {
            return null;
        }
        $at ??= $this->clock->now();
        $points ??= $this->vantages->usual($decider);
        $seen = $this->vantages->stand($course, $decider, $points);
        $past = ! $ofDraft && $at < $this->clock->now() ? $this->past->at($course, $seen, $decider->course->outline->items, $at) : [];
        $sights = array_map(fn (SeenFrom $one, ?array $then): VantageSight => new VantageSight(
            $this->words->of($one, $decider),
            array_map(static fn (Decision $decision): ItemDecision => ItemDecision::of($decision), $then ?? $this->plans->ask($decider, $one->viewer, $at)->decisions()),
        ), $seen, $past === [] ? array_fill(0, count($seen), null) : $past);
        $there = array_map(static fn (SeenFrom $one): string => (string) $one->point, $seen);

        return new SightlinesTold($course->key, Instant::format($at), $ofDraft ? 'draft' : 'published', $sights, array_values(array_diff(array_map(strval(...), $points), $there)));
    }
}
