<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Taker;
use App\Offers\Taking;
use App\Offers\Terms;
use App\Words\Say;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Time\Instant;

/** What is for sale to whoever looks: only what they may take, and what would really open something to them. */
final readonly class Shop
{
    /** Days before a pass ends in which its renewal is put before its holder; the checkout has it at any time. */
    private const RENEWED_IN_THE_LAST = 30;

    public function __construct(private Plans $plans, private SchoolClock $clock, private Terms $terms, private Deals $deals)
    {
    }

    /**
     * The offers that open an item sooner than waiting does, the soonest first.
     *
     * @return array{list<OfferCard>, list<string>} and the keys of all offers that do, whether they are sold by themselves or not
     */
    public function waysTo(Answer $answer, Course $course, Taker $taker, string $item): array
    {
        $offers = $this->takeable($answer, $course, $taker);
        $cards = $opening = [];
        $sold = $offers !== [] || Bundle::query()->whereNotNull('price')->exists();
        foreach (! $sold ? [] : (new WaysIn($answer->decider, $answer->decider->prepared->plan->zone))->to($item, $answer->viewer, $answer->at) as $way) {
            $opening[] = $way->offer->key;
            // What begins only when the present pass ends opens nothing now.
            if (isset($offers[$way->offer->key]) && $offers[$way->offer->key][1]->renews === null) {
                [$offer, $taking] = $offers[$way->offer->key];
                $cards[] = $this->card($offer, $taking, $item, $this->when($way, $taking, $answer->at));
            }
        }

        return [$cards, $opening];
    }

    /**
     * Into which closed items an offer that they may take would bring them sooner than waiting does: the same as {@see waysTo}
     * of each, without its cards.
     *
     * @param  ?Person  $buyer  who would take a bundle; null: anybody
     * @return array<int, true> by position
     */
    public function waysInto(Answer $answer, Course $course, Taker $taker, ?Person $buyer): array
    {
        $offers = array_filter($this->takeable($answer, $course, $taker), static fn (array $one): bool => $one[1]->renews === null);
        $bundled = [];
        $into = [];
        foreach ((new WaysIn($answer->decider, $answer->decider->prepared->plan->zone))->all($answer->viewer, $answer->at) as $position => $keys) {
            foreach ($keys as $key) {
                if (isset($offers[$key]) || $bundled[$key] ??= $this->bundlesWith([$key], $buyer, $answer->at) !== []) {
                    $into[$position] = true;
                    break;
                }
            }
        }

        return $into;
    }

    private function when(WayIn $way, Taking $taking, int $at): string
    {
        $now = $way->opens <= $at;
        // A membership lasts as it is paid for, not as its offer says of others.
        $until = $taking->pass->until ?? $way->pass->until;

        return Say::text('learner.shop.opens'.($now ? '_now' : '').($way->byTimeAlone ? '' : '_once'), ['until' => $this->until($until), ...($now ? [] : ['at' => $this->clock->words($way->opens)])]);
    }

    public function until(int $end): string
    {
        return $end === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until', ['at' => $this->clock->date($end)]);
    }

    /**
     * All that they may take of a course, as cards: passes for whoever has none, upgrades and, towards the end, renewals for whoever has.
     *
     * @return list<OfferCard>
     */
    public function offersOf(Answer $answer, Course $course, Taker $taker): array
    {
        return array_map(fn (ForSale $one): OfferCard => $this->cardOf($one), $this->forSale($answer, $course, $taker));
    }

    public function cardOf(ForSale $one): OfferCard
    {
        $until = $this->until($one->pass->until);

        return $this->card($one->offer, $one->taking, null, $one->taking->renews !== null
            ? Say::text('learner.shop.goes_on', ['from' => $this->clock->date($one->pass->from), 'until' => $until])
            : Say::text('learner.shop.covers', ['covered' => $one->covered(), 'lessons' => count($one->lessons), 'until' => $until]));
    }

    /**
     * The same with what each opens, and when.
     *
     * @return list<ForSale> in the order of the course's offers
     */
    public function forSale(Answer $answer, Course $course, Taker $taker): array
    {
        $decider = $answer->decider;
        $outline = $decider->course->outline;
        $offers = array_filter($this->takeable($answer, $course, $taker), fn (array $one): bool => $this->isTimely($one[1], $answer));
        // Counted among what they may know of: a number would give away what is hidden.
        $lessons = $offers === [] ? [] : array_values(array_filter(array_keys($outline->items), static fn (int $position): bool => $outline->isPublishedLesson($position) && $answer->state($position) !== State::Hidden));
        $sold = [];
        $dates = new DatesForPass($decider->prepared);
        foreach ($decider->course->offers as $access) {
            if (! isset($offers[$access->key]) || array_filter($lessons, $decider->prepared->coverage($access)->covers(...)) === []) {
                continue;
            }
            [$offer, $taking] = $offers[$access->key];
            if ($taking->pass !== null) {
                $sold[] = new ForSale($offer, $taking, $access, $taking->pass, $lessons, $dates->dates($access, $taking->pass, $taker->labels));
            }
        }

        return $sold;
    }

    private function isTimely(Taking $taking, Answer $answer): bool
    {
        return $taking->renews !== null
            ? $this->clock->wholeDays($answer->at, $taking->renews->until) <= self::RENEWED_IN_THE_LAST
            : $taking->replaces !== [] || ! $answer->snapshot()->holdsActivePass();
    }

    /** @return array<array-key, array{Offer, Taking}> by key */
    private function takeable(Answer $answer, Course $course, Taker $taker): array
    {
        $offers = Offer::query()->where('course_id', $course->id)->whereNotNull('price')->get();
        $takings = $this->terms->all($offers, $answer, $taker);
        $takeable = [];
        foreach ($offers as $offer) {
            if ($takings[$offer->key]->refusal === null) {
                $takeable[$offer->key] = [$offer, $takings[$offer->key]];
            }
        }

        return $takeable;
    }

    private function card(Offer $offer, Taking $taking, ?string $item, string $detail): OfferCard
    {
        $price = Prices::cents($offer, $taking);

        return new OfferCard(
            $offer->key, $offer->name, Prices::words($price, $offer->currency, $offer->every), $price === 0,
            match (true) {
                $taking->renews !== null => 'renewal',
                $taking->replaces !== [] => 'upgrade',
                default => 'pass',
            },
            $detail, Ware::offer($offer)->address($item),
        );
    }

    /**
     * Bundles that give one of some offers to somebody, where they may take them.
     *
     * @param  list<string>  $offers  by key
     * @param  int  $at  instant at which one would be taken
     * @param  ?string  $item  to which one comes back
     * @return list<OfferCard>
     */
    public function bundlesWith(array $offers, ?Person $person, int $at, ?string $item = null): array
    {
        $cards = [];
        foreach ($offers === [] ? [] : Bundle::query()->whereNotNull('price')->whereHas('offers', static fn ($query) => $query->whereIn('offers.key', $offers))->with('offers.course.liveRevision')->orderBy('id')->get() as $bundle) {
            $ware = Ware::bundle($bundle);
            $deal = $this->deals->of($ware, $person, $at);
            $keys = array_map(static fn (array $part): string => $part[0]->key, $deal->parts);
            if ($deal->refusal === null && array_intersect($keys, $offers) !== []) {
                $cards[] = new OfferCard("bundle {$bundle->key}", $bundle->name, Prices::words($deal->cents, $bundle->currency, $bundle->every), $deal->cents === 0, 'bundle', Say::text('learner.shop.bundle', ['count' => count($keys), 'offers' => implode(', ', array_map(static fn (array $part): string => $part[0]->name, $deal->parts))]), $ware->address($item));
            }
        }

        return $cards;
    }

    /** The bundle, where any of its courses may be known of. */
    public function findBundle(string $key): ?Bundle
    {
        $bundle = Bundle::query()->with('offers.course.liveRevision')->where('key', $key)->first();

        return $bundle === null || $bundle->offers->every(static fn (Offer $offer): bool => $offer->course->hidden) ? null : $bundle;
    }

    /** The offer, of a course that may be known of, whether it can be taken or not. */
    public function find(string $key): ?Offer
    {
        $offer = Offer::query()->with('course.liveRevision')->where('key', $key)->first();

        return $offer === null || $offer->course->hidden || $this->plans->live($offer->course)?->prepared->plan->offer($key) === null ? null : $offer;
    }

    public function knows(Course $course, string $item): bool
    {
        return $this->plans->live($course)?->course->outline->positionOf($item) !== null;
    }
}
