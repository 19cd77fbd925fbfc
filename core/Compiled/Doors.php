<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Admission;

/** What each door admits, as masks, and where the main plan bars those who come by it. */
final readonly class Doors
{
    public string $guestsAdmitted;

    /** Where no tier stands in the way of guests. */
    public string $guestTiers;

    /** Barred to guests by an opening of the main plan that counts from a pass. */
    public string $barsGuests;

    public string $observersAdmitted;

    /** Where no tier stands in the way of observers. */
    public string $observerTiers;

    /** Barred to observers by an opening of the main plan that counts from a pass. */
    public string $barsObservers;

    public function __construct(CourseMasks $course)
    {
        $guests = $course->prepared->guests;
        $observers = $course->prepared->observers;
        $this->guestsAdmitted = Mask::of($guests->admits);
        $this->guestTiers = Mask::of($guests->tiersAllow);
        $this->barsGuests = self::barredByRelativeOpenings($course, $guests);
        $this->observersAdmitted = Mask::of($observers->admits);
        $this->observerTiers = Mask::of($observers->tiersAllow);
        $this->barsObservers = self::barredByRelativeOpenings($course, $observers);
    }

    private static function barredByRelativeOpenings(CourseMasks $course, Admission $door): string
    {
        $barred = '';
        /** @var list<int> $lowest of each item: the lowest of its path that opens by a relative rule, or -1 */
        $lowest = [];
        $plan = $course->prepared->course->mainPlan;
        foreach ($course->outline->parent as $at => $above) {
            $lowest[] = ($plan->entries[$at] ?? null)?->opens->isRelative() === true ? $at : ($above < 0 ? -1 : $lowest[$above]);
            $barred .= $lowest[$at] >= 0 && ($door->deciding[$at] === null || $door->deciding[$at] < $lowest[$at]) ? Mask::IN : Mask::OUT;
        }

        return $barred;
    }
}
