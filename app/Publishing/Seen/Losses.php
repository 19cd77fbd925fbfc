<?php

declare(strict_types=1);

namespace App\Publishing\Seen;

use App\Drafts\DraftConflict;
use App\Models\Person;
use App\Publishing\Proposal;
use App\Publishing\Rehearsal;
use App\Publishing\RehearsalCount;
use Psr\Clock\ClockInterface;

/** Refuses what takes something from people where that was not shown to whoever does it. */
final readonly class Losses
{
    /** Seconds for which people are looked at without anybody seeing how far it is; a longer look is a rehearsal. */
    private const PATIENCE = 1.5;

    public function __construct(private ClockInterface $clock, private Rehearsal $rehearsal)
    {
    }

    /**
     * @param  ?int  $setFor  instant; null: at once
     * @return ?Shown as a receipt says; null: they were shown none, and nobody loses anything
     *
     * @throws DraftConflict if they were not, and there are losses, or too many people to see quickly
     */
    public function refuseUnseen(Proposal $proposal, ?int $setFor, ?string $receipt, Person $reader): ?Shown
    {
        $now = $this->clock->now()->getTimestamp();
        $shown = Receipt::shown($receipt, $proposal, $setFor, $reader, $now);
        if ($proposal->live === null || $shown !== null) {
            return $proposal->live === null ? null : $shown;
        }
        $count = RehearsalCount::none();
        if (! $this->rehearsal->goOn($proposal, $setFor ?? $now, $count, self::PATIENCE)) {
            throw $receipt === null ? DraftConflict::rehearseFirst(null) : DraftConflict::rehearsedTooLongAgo();
        }
        if ($count->losers() > 0) {
            throw $receipt === null ? DraftConflict::rehearseFirst($count->losers()) : DraftConflict::rehearsedTooLongAgo();
        }

        return null;
    }

    /** How many people, and observers, lose something by it now, however long it takes to see. */
    public function count(Proposal $proposal): int
    {
        $count = RehearsalCount::none();
        $this->rehearsal->goOn($proposal, $this->clock->now()->getTimestamp(), $count, null);

        return $count->losers();
    }
}
