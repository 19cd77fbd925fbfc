<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\BestCase;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\Held;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Rules\OpensOn;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/**
 * One course as its newcomers will meet it, each answer of the engine asked for once. It is asked as if the course were live:
 * what is wrong is told before it is.
 */
final class Survey
{
    public readonly Course $course;

    /** As it is, whatever is asked. */
    public readonly CourseState $state;

    public readonly Outline $outline;

    public readonly Decider $decider;

    public readonly CompiledDecider $compiled;

    /** When a newcomer's way begins: now, or as the season does. */
    public readonly int $from;

    /** @var list<string> that conditions of the course name */
    public readonly array $labels;

    private readonly BestCase $best;

    private readonly Reaching $reaching;

    /** @var array<string, Way> */
    private array $ways = [];

    /** @var array<string, list<?int>> */
    private array $strangers = [];

    public function __construct(public readonly Plan $plan, Course $course, public readonly Circumstances $circumstances)
    {
        $this->course = $course->asLive();
        $this->state = $course->state;
        $this->outline = $course->outline;
        $this->decider = new Decider($plan, $this->course);
        $this->compiled = CompiledDecider::of($this->decider->prepared);
        $this->from = max($circumstances->at, $course->opens ?? PHP_INT_MIN);
        $this->labels = self::labelsNamed($course->outline);
        $this->best = new BestCase($this->decider);
        $this->reaching = new Reaching($this->decider, $this->compiled);
    }

    /** Whether the season has ended: there are no newcomers any more. */
    public function isOver(): bool
    {
        return $this->from >= ($this->course->closes ?? Instant::NEVER);
    }

    /** @return list<Offer> those of which a pass would last */
    public function offers(): array
    {
        return array_values(array_filter($this->course->offers, fn (Offer $offer): bool => ! $this->isOver() && $this->end($offer) > $this->from));
    }

    /** @return list<Offer> those that are meant to open all that they cover: a trial is meant to end before */
    public function wholeOffers(): array
    {
        return array_values(array_filter($this->offers(), fn (Offer $offer): bool => ! in_array($offer->key, $this->circumstances->trials, true)));
    }

    /** The first instant at which a pass made as the way begins has ended, or NEVER. */
    public function end(Offer $offer): int
    {
        return $offer->lasts->end($this->from, $this->plan->zone);
    }

    /**
     * @param  list<string>  $labels
     * @param  int  $days  after which the way begins, in place of at once
     */
    public function way(Offer $offer, array $labels, int $days = 0): Way
    {
        $from = $days === 0 ? $this->from : $this->plan->zone->plusDays($this->from, $days);
        $key = json_encode([$offer->key, $labels, $days], JSON_THROW_ON_ERROR);
        if (! isset($this->ways[$key])) {
            $until = $offer->lasts->end($from, $this->plan->zone);
            $reach = $this->best->reach($offer, $from, $until, $labels);
            $this->ways[$key] = new Way($offer, new Pass($offer->key, $from, $until), $labels, $this->meant($offer, $labels), $reach, $this->best->lastInSeason($reach));
        }

        return $this->ways[$key];
    }

    /** @return list<Way> of a holder without a label, and of one with all that the course asks for */
    public function ways(Offer $offer): array
    {
        return $this->labels === [] ? [$this->way($offer, [])] : [$this->way($offer, []), $this->way($offer, $this->labels)];
    }

    /**
     * When each item is first open to somebody without a pass who has all labels; null: never.
     *
     * @return list<?int> by position
     */
    public function strangers(bool $signedIn, bool $guest = false): array
    {
        return $this->strangers[($signedIn ? 'member' : 'visitor').($guest ? ' guest' : '')] ??=
            $this->reaching->reach(new Viewer(signedIn: $signedIn, guest: $guest, labels: $this->labels), $this->from)->open;
    }

    public function snapshot(Viewer $viewer, int $at): CourseSnapshot
    {
        return $this->decider->snapshot($viewer, $at);
    }

    public function guestsComeIn(): bool
    {
        return $this->plan->guests && $this->course->guestDoor->open;
    }

    public function isOpenFor(Audience $audience): bool
    {
        return $audience === Audience::Guests ? $this->guestsComeIn() : $this->course->observerDoor->open;
    }

    public function isPublished(int $position): bool
    {
        return ! $this->outline->draftOnPath[$position];
    }

    /** Whether an offer's plan leaves it to be handed out. */
    public function isHeld(Offer $offer, int $position): bool
    {
        return $this->opensBy($offer, $position, Held::class);
    }

    /** Whether any of it is. */
    public function handsOut(Offer $offer): bool
    {
        foreach (array_keys($this->outline->items) as $position) {
            if ($this->isPublished($position) && $this->isHeld($offer, $position)) {
                return true;
            }
        }

        return false;
    }

    /** Whether an offer's plan opens it, or something it stands in, on a day that is the same for all. */
    public function isOnADay(Offer $offer, int $position): bool
    {
        return $this->opensBy($offer, $position, OpensOn::class);
    }

    /** @param  class-string<Opening>  $kind */
    private function opensBy(Offer $offer, int $position, string $kind): bool
    {
        if ($offer->plan === null) {
            return false;
        }
        foreach ($this->outline->path[$position] as $step) {
            if ($offer->plan->opening($step) instanceof $kind) {
                return true;
            }
        }

        return false;
    }

    /**
     * Where a pass of the offer is meant to lead by itself, for a holder with these labels.
     *
     * @param  list<string>  $labels
     * @return list<bool> by position
     */
    public function meant(Offer $offer, array $labels): array
    {
        $coverage = $this->decider->prepared->coverage($offer);

        return array_map(
            fn (bool $notRuledOut, int $position): bool => $notRuledOut && $this->isPublished($position) && $coverage->covers($position) && ! $this->isHeld($offer, $position),
            $notRuledOut = $this->decider->prepared->notRuledOut($offer, $labels),
            array_keys($notRuledOut),
        );
    }

    /**
     * @param  list<int>  $positions
     * @return list<string>
     */
    public function keys(array $positions): array
    {
        return array_map(fn (int $position): string => $this->outline->items[$position]->key, $positions);
    }

    /** @return list<string> in reading order */
    private static function labelsNamed(Outline $outline): array
    {
        $labels = [];
        foreach ($outline->items as $item) {
            foreach ($item->only === null ? [] : ConditionLeaves::of($item->only) as $leaf) {
                if ($leaf instanceof HasLabel) {
                    $labels[] = $leaf->label;
                }
            }
        }

        return array_values(array_unique($labels));
    }
}
