<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\ActRecord;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

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
    public function waysTo(Decider $decider, Viewer $viewer, Course $course, string $item): array
    {
        if ($decider->course->entry === Entry::Invite) {
            return [];
        }
        $ways = (new WaysIn($decider, $decider->prepared->plan->zone))->to($item, $viewer, $this->clock->now());
        $sold = $this->sold($course);

        return array_values(array_filter(array_map(fn (WayIn $way): ?OfferCard => isset($sold[$way->offer->key]) ? $this->card($sold[$way->offer->key], $course, $item, $this->when($way)) : null, $ways)));
    }

    private function when(WayIn $way): string
    {
        $opens = $way->opens > $this->clock->now() ? 'Opens it '.$this->clock->words($way->opens) : 'Opens it at once';
        $until = $way->pass->until === Instant::NEVER ? 'for good' : 'to '.$this->clock->date($way->pass->until);

        return $opens.($way->byTimeAlone ? '' : ', once what comes first is finished').", {$until}";
    }

    /**
     * All that is for sale of a course.
     *
     * @return list<OfferCard>
     */
    public function offersOf(Decider $decider, Viewer $viewer, Course $course): array
    {
        $sold = $decider->course->entry === Entry::Invite ? [] : $this->sold($course);
        $cards = [];
        $outline = $decider->course->outline;
        $standings = $decider->glance($viewer, $this->clock->now())->standings;
        // Counted among what they may know of: a number would give away what is hidden.
        $lessons = array_values(array_filter(array_keys($outline->items), static fn (int $position): bool => $outline->isPublishedLesson($position) && $standings[$position]->state !== State::Hidden));
        foreach ($decider->course->offers as $offer) {
            $covered = count(array_filter($lessons, $decider->prepared->coverage($offer)->covers(...)));
            $pass = NewPass::of($offer, $this->clock->now(), $viewer->passes, $decider->prepared, $decider->prepared->plan->zone);
            // What ends before it begins is not sold.
            if (isset($sold[$offer->key]) && $covered > 0 && $pass->until > $this->clock->now()) {
                $until = $pass->until === Instant::NEVER ? 'for good' : 'to '.$this->clock->date($pass->until);
                $cards[] = $this->card($sold[$offer->key], $course, null, "{$covered} of ".count($lessons)." lessons, {$until}");
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
        return new OfferCard($offer->key, $offer->name, self::price($offer), $detail, route('checkout', ['offer' => $offer->key, ...($item === null ? [] : ['item' => $item])], false));
    }

    private static function price(Offer $offer): string
    {
        return $offer->price === 0 || $offer->price === null ? 'free' : number_format($offer->price / 100, $offer->price % 100 === 0 ? 0 : 2).' '.$offer->currency;
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
        $known = $position !== null && $decider->glance($viewer, $this->clock->now())->standings[$position]->state !== State::Hidden;
        $until = $access->lasts->end($this->clock->now(), $decider->prepared->plan->zone);

        return new CheckoutPage(
            course: $offer->course->key,
            courseTitle: $decider->course->title ?? $decider->course->key,
            offer: $offer->key,
            name: $offer->name,
            price: self::price($offer),
            lasts: $until === Instant::NEVER ? 'for good' : 'to '.$this->clock->words($until).', '.$this->clock->zoneName(),
            item: $known ? $item : null,
            itemTitle: $known ? $decider->course->outline->items[$position]->title ?? $item : null,
            free: $offer->price === 0,
            holder: $person?->name,
            signIn: route('sign-in', ['back' => route('checkout', ['offer' => $offer->key, ...($known ? ['item' => $item] : [])], false)], false),
        );
    }
}
