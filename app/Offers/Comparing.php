<?php

declare(strict_types=1);

namespace App\Offers;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** Which of two passes of a course opens all that the other does, as early, as long, and with its labels. */
final readonly class Comparing
{
    /**
     * @param  Viewer  $holder  with their passes of the course, and what they have finished there
     * @param  list<string>  $labels  that they have now
     */
    public function __construct(private Decider $decider, private Viewer $holder, private array $labels, private int $at)
    {
    }

    /** A pass that they hold and beside which the new one would open nothing. */
    public function greaterThan(Pass $new): ?Pass
    {
        foreach ($this->holder->passes as $pass) {
            if ($pass->isActive($this->at) && $this->covers($pass, $new)) {
                return $pass;
            }
        }

        return null;
    }

    /** Whether a pass that they hold opens nothing that the new one does not, now or later: nothing that is open shuts if it ends. */
    public function isLesser(Pass $held, Pass $new): bool
    {
        if (! $held->isActive($this->at) || $held->offer === $new->offer || ! $this->covers($new, $held)) {
            return false;
        }
        $others = array_values(array_filter($this->holder->passes, static fn (Pass $pass): bool => $pass !== $held));
        $now = $this->open([...$others, $held]);

        return array_diff_key($now, $this->open([...$others, $new])) === [];
    }

    private function covers(Pass $greater, Pass $lesser): bool
    {
        $offers = [$this->decider->prepared->offerOf($greater), $this->decider->prepared->offerOf($lesser)];
        if ($offers[0] === null || $offers[1] === null || $greater->until < $lesser->until || array_diff($offers[1]->labels, $offers[0]->labels) !== []) {
            return false;
        }
        $more = $this->dates($offers[0], $greater);
        foreach ($this->dates($offers[1], $lesser) as $item => [$opens, $closes]) {
            if (! isset($more[$item]) || $more[$item][0] > $opens || $more[$item][1] < $closes) {
                return false;
            }
        }

        return true;
    }

    /** @return array<int, array{int, int}> when it opens, from now on, and closes what it covers, by position */
    private function dates(Offer $offer, Pass $pass): array
    {
        $dates = [];
        foreach ((new DatesForPass($this->decider->prepared))->dates($offer, $pass, $this->labels) as $position => $item) {
            if ($item->covered) {
                $dates[$position] = [max($this->at, $item->opens), $item->closes];
            }
        }

        return $dates;
    }

    /**
     * @param  list<Pass>  $passes
     * @return array<int, true> by position
     */
    private function open(array $passes): array
    {
        $open = [];
        foreach ($this->decider->snapshot($this->holder->withPasses($passes), $this->at)->standings as $position => $standing) {
            if ($standing->isOpen()) {
                $open[$position] = true;
            }
        }

        return $open;
    }
}
