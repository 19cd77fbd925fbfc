<?php

declare(strict_types=1);

namespace App\Publishing;

/** A rehearsal in words. */
final readonly class RehearsalTold
{
    /**
     * @param  list<EffectCount>  $totals
     * @param  list<RehearsalRow>  $rows
     * @param  list<EffectCount>  $observerTotals
     * @param  list<RehearsalRow>  $observerRows
     * @param  list<KindRow>  $kinds
     * @param  int  $losers  people and observers from whom something is taken or put off
     */
    public function __construct(public array $totals, public array $rows, public array $observerTotals, public array $observerRows, public array $kinds, public int $losers)
    {
    }
}
