<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Outline\Course;

/** What a plan document does not say. What is not known (null) is not guessed at: checks that need it keep silent. */
final readonly class Circumstances
{
    /** What samples may give away where nobody has said otherwise. */
    public const SAMPLE_SHARE = 0.3;

    /**
     * @param  int  $at  instant from which it is asked
     * @param  ?list<string>  $labels  that somebody has, or that something besides an offer gives
     * @param  ?array<array-key, int>  $sold  price in the smallest coin, by the key of each offer that can be taken by oneself now
     * @param  list<string>  $trials  keys of the offers that are trials
     * @param  float  $sampleShare  of the lessons, and of their minutes, that samples may give away
     * @param  array<array-key, int>  $minutes  that a lesson takes, by key
     * @param  ?Course  $live  the rules in force, where those of a draft are asked about
     */
    public function __construct(
        public int $at,
        public ?array $labels = null,
        public ?array $sold = null,
        public array $trials = [],
        public float $sampleShare = self::SAMPLE_SHARE,
        public array $minutes = [],
        public ?Course $live = null,
    ) {
    }
}
