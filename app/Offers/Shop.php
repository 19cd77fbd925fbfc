<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\ActRecord;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use App\Words\Formats;
use App\Words\Say;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Time\Instant;

/** What is for sale to whoever looks: only what would really open something to them. */
final readonly class Shop
{
    public function __construct(private Plans $plans, private SchoolClock $clock)
    {
    }

    /**
     * The offers that open an item sooner than waiting does, the soonest first.
     *
     * @return list<OfferCard>
     */
    public function waysTo(Answer $answer, Course $course, string $item): array
    {
        $decider = $answer->decider;
        if ($decider->course->entry === Entry::Invite) {
            return [];
        }
        $ways = (new WaysIn($decider, $decider->prepared->plan->zone))->to($item, $answer->viewer, $answer->at);
        $sold = $this->sold($course);

        return array_values(array_filter(array_map(fn (WayIn $way): ?OfferCard => isset($sold[$way->offer->key]) ? $this->card($sold[$way->offer->key], $course, $item, $this->when($way)) : null, $ways)));
    }

    private function when(WayIn $way): string
    {
        $now = $way->opens <= $this->clock->now();

        return Say::text('learner.shop.opens'.($now ? '_now' : '').($way->byTimeAlone ? '' : '_once'), ['until' => $this->until($way->pass->until), ...($now ? [] : ['at' => $this->clock->words($way->opens)])]);
    }

    private function until(int $end): string
    {
        return $end === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until', ['at' => $this->clock->date($end)]);
    }

    /**
     * All that is for sale of a course.
     *
     * @return list<OfferCard>
     */
    public function offersOf(Answer $answer, Course $course): array
    {
        $decider = $answer->decider;
        $sold = $decider->course->entry === Entry::Invite ? [] : $this->sold($course);
        $cards = [];
        $outline = $decider->course->outline;
        // Counted among what they may know of: a number would give away what is hidden.
        $lessons = array_values(array_filter(array_keys($outline->items), static fn (int $position): bool => $outline->isPublishedLesson($position) && $answer->state($position) !== State::Hidden));
        foreach ($decider->course->offers as $offer) {
            $covered = count(array_filter($lessons, $decider->prepared->coverage($offer)->covers(...)));
            $pass = NewPass::of($offer, $answer->at, $answer->viewer->passes, $decider->prepared, $decider->prepared->plan->zone);
            // What ends before it begins is not sold.
            if (isset($sold[$offer->key]) && $covered > 0 && $pass->until > $answer->at) {
                $cards[] = $this->card($sold[$offer->key], $course, null, Say::text('learner.shop.covers', ['covered' => $covered, 'lessons' => count($lessons), 'until' => $this->until($pass->until)]));
            }
        }

        return $cards;
    }

    /** @return array<array-key, Offer> by key, those that can be bought or claimed */
    private function sold(Course $course): array
    {
        return Offer::query()->where('course_id', $course->id)->whereNotNull('price')->get()->keyBy('key')->all();
    }

    private function card(Offer $offer, Course $course, ?string $item, string $detail): OfferCard
    {
        return new OfferCard($offer->key, $offer->name, self::price($offer), $offer->price === 0, $detail, route('checkout', ['offer' => $offer->key, ...($item === null ? [] : ['item' => $item])], false));
    }

    private static function price(Offer $offer): string
    {
        return $offer->price === 0 || $offer->price === null ? Say::text('learner.shop.free') : Formats::money($offer->price, $offer->currency);
    }

    /** The offer, where it can be bought or claimed now: sold, published, of a course that is live and not by invitation only, and not over already. */
    public function onSale(string $key): ?Offer
    {
        $offer = Offer::query()->with('course.liveRevision')->where('key', $key)->whereNotNull('price')->first();
        $decider = $offer === null ? null : $this->plans->live($offer->course);
        $access = $decider?->prepared->plan->offer($key);
        $over = $access !== null && $access->lasts->end($this->clock->now(), $decider->prepared->plan->zone) <= $this->clock->now();

        return $decider !== null && $access !== null && ! $over && $decider->course->state === CourseState::Live && $decider->course->entry !== Entry::Invite ? $offer : null;
    }

    public function knows(Course $course, string $item): bool
    {
        return $this->plans->live($course)?->course->outline->positionOf($item) !== null;
    }

    /** Who has sent this very form already, while their address is not shown to be theirs yet. */
    public function visitorWhoBought(string $once): ?Person
    {
        return Person::query()->whereNotNull('claimed_email')->whereIn('id', ActRecord::query()->where('once', $once)->select('actor_id'))->first();
    }

    /** @param  ?string  $item  that was asked for; told of only where its title may be known to visitors */
    public function checkout(Offer $offer, ?string $item, ?Person $person): CheckoutPage
    {
        $decider = $this->plans->live($offer->course) ?? throw new \LogicException('What is on sale is published.');
        $access = $decider->prepared->plan->offer($offer->key) ?? throw new \LogicException('What is on sale is published.');
        $position = $item === null ? null : $decider->course->outline->positionOf($item);
        $viewer = $person === null ? Viewers::visitor() : Viewers::member();
        $known = $position !== null && $this->plans->ask($decider, $viewer, $this->clock->now())->state($position) !== State::Hidden;
        $until = $access->lasts->end($this->clock->now(), $decider->prepared->plan->zone);

        return new CheckoutPage(
            course: $offer->course->key,
            courseTitle: $decider->course->title ?? $decider->course->key,
            offer: $offer->key,
            name: $offer->name,
            price: self::price($offer),
            lasts: $until === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until_in_zone', ['at' => $this->clock->words($until), 'zone' => $this->clock->zoneName()]),
            item: $known ? $item : null,
            itemTitle: $known ? $decider->course->outline->items[$position]->title ?? $item : null,
            free: $offer->price === 0,
            holder: $person?->name,
            signIn: route('sign-in', ['back' => route('checkout', ['offer' => $offer->key, ...($known ? ['item' => $item] : [])], false)], false),
        );
    }
}
