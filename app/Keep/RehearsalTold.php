<?php

declare(strict_types=1);

namespace App\Keep;

use App\Http\Pages\Keep\EffectCount;
use App\Http\Pages\Keep\KindRow;
use App\Http\Pages\Keep\RehearsalRow;

/** A rehearsal in words. */
final readonly class RehearsalTold
{
    /**
     * @param  int  $people  how many were looked at
     * @param  list<EffectCount>  $totals
     * @param  list<RehearsalRow>  $rows
     * @param  list<KindRow>  $kinds
     * @param  int  $losers  from whom something is taken or put off
     */
    public function __construct(public int $people, public array $totals, public array $rows, public array $kinds, public int $losers)
    {
    }
}
