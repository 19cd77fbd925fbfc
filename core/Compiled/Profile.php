<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Viewing\Offer;

/** What all holders of an offer have in common: what it covers, and the steps in which it is released and closed. */
final readonly class Profile
{
    public string $inScope;

    public string $inTier;

    public string $covered;

    /** The failing gates that depend on neither time nor work, as {@see Why} has them: scope 1, tier 2, never released 16. */
    public string $failingAlways;

    public Pacing $pacing;

    /** @param  ?Pacing  $pacing  that of another offer that goes by the same plan */
    public function __construct(CourseMasks $course, public Offer $offer, ?Pacing $pacing)
    {
        $coverage = $course->prepared->coverage($offer);
        $this->inScope = Mask::of($coverage->inScope);
        $this->inTier = Mask::of($coverage->inTier);
        $this->covered = $this->inScope & $this->inTier;
        $this->pacing = $pacing === null || $pacing->dependsOnCoverage ? new Pacing($course, $offer, $this->covered) : $pacing;
        $this->failingAlways = Mask::as($this->inScope ^ $course->all, 1) | Mask::as($this->inTier ^ $course->all, 2) | Mask::as($this->pacing->held, 16);
    }
}
