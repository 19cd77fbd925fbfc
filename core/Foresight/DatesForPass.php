<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** When each item opens and closes for the holder of a pass. */
final readonly class DatesForPass
{
    public function __construct(private PreparedCourse $prepared)
    {
    }

    /**
     * @param  list<string>  $labels  of the holder, but for those that the offer gives
     * @return list<ItemDates> in reading order
     */
    public function dates(Offer $offer, Pass $pass, array $labels): array
    {
        $schedule = $this->prepared->schedule($pass, $offer);
        $coverage = $this->prepared->coverage($offer);
        $notRuledOut = $this->prepared->notRuledOut($offer, $labels);
        $courseCloses = $this->prepared->course->closes ?? Instant::NEVER;
        $dates = [];
        foreach ($this->prepared->outline->items as $at => $item) {
            $opens = $schedule->release[$at];
            $closes = $schedule->closing[$at];
            $firstSeen = max($opens, $pass->from);
            $covered = ! $this->prepared->outline->draftOnPath[$at] && $coverage->covers($at) && $notRuledOut[$at]
                && $opens !== Instant::NEVER && $firstSeen < $closes && $firstSeen < $courseCloses;
            $dates[] = new ItemDates($item, $covered, $opens, $closes);
        }

        return $dates;
    }

    /**
     * What the pass reaches before it ends, without being handed out.
     *
     * @param  list<string>  $labels  of the holder, but for those that the offer gives
     * @return list<bool> by position
     */
    public function reached(Offer $offer, Pass $pass, array $labels): array
    {
        return array_map(static fn (ItemDates $item): bool => $item->isReachedBy($pass), $this->dates($offer, $pass, $labels));
    }
}
