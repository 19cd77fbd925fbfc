<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** What the most diligent holder of one pass, and of nothing else, gets to see. */
final readonly class BestCase
{
    private Reaching $reaching;

    public function __construct(private Decider $decider)
    {
        $this->reaching = new Reaching($decider);
    }

    /**
     * @param  int  $until  or NEVER
     * @param  list<string>  $labels
     * @return list<ItemReach> in reading order
     *
     * @throws InvalidForesight if `$until` is not after `$from`
     */
    public function of(Offer $offer, int $from, int $until, array $labels): array
    {
        $reach = $this->reach($offer, $from, $until, $labels);
        $last = $this->lastInSeason($reach);
        $result = [];
        foreach ($this->decider->course->outline->items as $position => $item) {
            $why = $reach->open[$position] !== null ? [] : array_map(
                static fn (Reason $reason): Reason => $reason === Reason::Progress ? Reason::Stuck : $reason,
                $last->why($position),
            );
            $result[] = new ItemReach($item->key, $reach->open[$position], $reach->works[$position], $why);
        }

        return $result;
    }

    /**
     * @param  int  $until  or NEVER
     * @param  list<string>  $labels
     *
     * @throws InvalidForesight if `$until` is not after `$from`
     */
    public function reach(Offer $offer, int $from, int $until, array $labels): Reach
    {
        if ($until <= $from) {
            throw InvalidForesight::passMustEndAfterItBegins($from, $until);
        }

        return $this->reaching->reach(new Viewer(signedIn: true, labels: $labels, passes: [new Pass($offer->key, $from, $until)]), $from, $until);
    }

    /** The last of the instants at which the course gate passes; if there is none, the last of all. */
    public function lastInSeason(Reach $reach): CourseSnapshot
    {
        foreach (array_reverse($reach->instants) as $at) {
            $snapshot = $this->decider->snapshot($reach->afterwards, $at);
            if ($snapshot->gate === null) {
                return $snapshot;
            }
        }

        return $this->decider->snapshot($reach->afterwards, $reach->instants[count($reach->instants) - 1]);
    }
}
