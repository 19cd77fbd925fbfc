<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Shop;
use App\Offers\Takers;
use App\Offers\Taking;
use App\Offers\Terms;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** Puts together what somebody is told who is about to take an offer. */
final readonly class CheckoutPageBuilder
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Terms $terms, private Takers $takers, private ClosingWordsBuilder $closing)
    {
    }

    /** @param  ?string  $item  that was asked for; told of only where its title may be known to visitors */
    public function page(Offer $offer, ?string $item, ?Person $person): CheckoutPage
    {
        $decider = $this->plans->live($offer->course) ?? throw new \LogicException('A checkout is of a course that is published.');
        $answer = $this->plans->ask($decider, $this->viewers->of($person, $offer->course), $this->clock->now());
        $taking = $this->terms->of($offer, $answer, $this->takers->of($person, $answer));
        $position = $item === null ? null : $decider->course->outline->positionOf($item);
        $anybody = $person === null ? Viewers::visitor() : Viewers::member();
        $known = $position !== null && $this->plans->ask($decider, $anybody, $this->clock->now())->state($position) !== State::Hidden;
        $cents = Shop::cents($offer, $taking);

        return new CheckoutPage(
            course: $offer->course->key,
            courseTitle: $decider->course->title ?? $decider->course->key,
            offer: $offer->key,
            // What is not sold is not told by its name to whoever guesses its key.
            name: $offer->price === null ? $decider->course->title ?? $decider->course->key : $offer->name,
            price: Shop::price($cents, $offer->currency),
            lasts: $taking->pass === null ? '' : $this->lasts($taking, $taking->pass),
            item: $known ? $item : null,
            itemTitle: $known ? $decider->course->outline->items[$position]->title ?? $item : null,
            free: $cents === 0,
            instead: $this->instead($taking, $decider),
            refusal: $taking->refusal,
            closing: $this->closing->of($offer->course, $answer)?->html,
            shown: $taking->fingerprint(),
            holder: $person?->name,
            signIn: route('sign-in', ['back' => route('checkout', ['offer' => $offer->key, ...($known ? ['item' => $item] : [])], false)], false),
        );
    }

    private function lasts(Taking $taking, Pass $pass): string
    {
        $until = $pass->until === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until_in_zone', ['at' => $this->clock->words($pass->until), 'zone' => $this->clock->zoneName()]);

        return $taking->renews === null ? $until : Say::text('learner.shop.from_until', ['from' => $this->clock->words($pass->from), 'until' => $until]);
    }

    private function instead(Taking $taking, Decider $decider): ?string
    {
        $names = array_values(array_unique(array_map(static fn (Pass $lesser): string => $decider->prepared->plan->offer($lesser->offer)->title ?? $lesser->offer, $taking->replaces)));

        return match (true) {
            $taking->renews !== null => Say::text('learner.shop.renews', ['at' => $this->clock->words($taking->renews->until)]),
            $names !== [] => Say::text('learner.shop.replaces', ['offers' => implode(', ', $names)]),
            default => null,
        };
    }
}
