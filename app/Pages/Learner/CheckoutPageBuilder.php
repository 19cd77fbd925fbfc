<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Sales\Deal;
use App\Offers\Sales\Deals;
use App\Offers\Sales\Prices;
use App\Offers\Sales\Ware;
use App\Offers\Taking;
use App\Pages\Learner\Closed\ClosingWordsBuilder;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** Puts together what somebody is told who is about to take an offer or a bundle. */
final readonly class CheckoutPageBuilder
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Deals $deals, private ClosingWordsBuilder $closing)
    {
    }

    /** @param  ?string  $item  that was asked for; told of only where its title may be known to visitors */
    public function page(Ware $ware, ?string $item, ?Person $person): CheckoutPage
    {
        $deal = $this->deals->of($ware, $person);
        $offer = ($deal->parts[0] ?? [$ware->offers[0] ?? null])[0] ?? throw new \LogicException('A ware is of an offer.');
        $decider = $this->plans->live($offer->course) ?? throw new \LogicException('A checkout is of a course that is published.');
        $known = $this->known($decider, $item, $person);
        $answer = $this->plans->ask($decider, $this->viewers->of($person, $offer->course), $this->clock->now());
        $title = $decider->course->title ?? $decider->course->key;

        return new CheckoutPage(
            course: $offer->course->getRouteKey(),
            courseTitle: $title,
            buy: $ware->bundle === null ? route('checkout.buy', [$ware->key], false) : route('checkout.bundle.buy', [$ware->key], false),
            // What is not sold is not told by its name to whoever guesses its key.
            name: $ware->price === null ? $title : $ware->name,
            price: Prices::words($deal->cents, $ware->currency, $ware->every),
            lasts: $this->lasts($deal),
            item: $known,
            itemTitle: $known === null ? null : $decider->course->outline->items[$decider->course->outline->positionOf($known) ?? 0]->title ?? $known,
            free: $deal->cents === 0,
            instead: $this->instead($deal, $answer),
            includes: $ware->bundle === null ? [] : array_map(fn (array $part): string => $this->included($part[0], $part[1], $deal), $deal->parts),
            refusal: $deal->refusal,
            closing: $deal->refusal === null ? null : $this->closing->of($offer->course, $answer)?->html,
            shown: $deal->fingerprint(),
            holder: $person?->name,
            signIn: route('sign-in', ['back' => $ware->address($known)], false),
        );
    }

    private function known(Decider $decider, ?string $item, ?Person $person): ?string
    {
        $position = $item === null ? null : $decider->course->outline->positionOf($item);
        $anybody = $person === null ? Viewers::visitor() : Viewers::member();

        return $position !== null && $this->plans->ask($decider, $anybody, $this->clock->now())->state($position) !== State::Hidden ? $item : null;
    }

    private function lasts(Deal $deal): string
    {
        $pass = count($deal->parts) === 1 ? $deal->parts[0][1]->pass : null;

        return match (true) {
            $deal->paidUntil !== null => Say::text('learner.shop.paid_until', ['at' => $this->clock->words($deal->paidUntil)]),
            $pass === null => '',
            default => $this->until($deal->parts[0][1], $pass),
        };
    }

    private function until(Taking $taking, Pass $pass): string
    {
        $until = $pass->until === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until_in_zone', ['at' => $this->clock->plain($pass->until), 'zone' => $this->clock->zoneName()]);

        return $taking->renews === null ? $until : Say::text('learner.shop.from_until', ['from' => $this->clock->words($pass->from), 'until' => $until]);
    }

    private function included(Offer $offer, Taking $taking, Deal $deal): string
    {
        $of = ['offer' => $offer->name, 'course' => $this->plans->live($offer->course)->course->title ?? $offer->course->key];

        // How long a membership lasts is said of it as a whole.
        return $deal->paidUntil !== null ? Say::text('learner.shop.includes_all_along', $of) : Say::text('learner.shop.includes', [...$of, 'until' => $taking->pass === null ? '' : $this->until($taking, $taking->pass)]);
    }

    private function instead(Deal $deal, Answer $answer): ?string
    {
        $renewed = count($deal->parts) === 1 ? $deal->parts[0][1]->renews : null;
        $names = [];
        foreach ($deal->parts as [$offer, $taking]) {
            foreach ($taking->replaces as $lesser) {
                $names[] = $this->plans->live($offer->course)?->prepared->plan->offer($lesser->offer)->title ?? $lesser->offer;
            }
        }

        return match (true) {
            $renewed !== null => Say::text('learner.shop.renews', ['at' => $this->clock->words($renewed->until)]),
            $names !== [] => Say::text('learner.shop.replaces', ['offers' => implode(', ', array_unique($names))]),
            default => count($deal->parts) === 1 ? $this->beginsAgain($deal->parts[0][1], $answer) : null,
        };
    }

    /** Whoever let a pass run out is paced from the beginning: they are told before they pay. */
    private function beginsAgain(Taking $taking, Answer $answer): ?string
    {
        $course = $answer->decider->prepared;
        $plan = $taking->pass === null || $taking->pass->pacedFrom !== null ? null : $course->offerOf($taking->pass)?->plan?->name;
        $ended = array_filter($answer->viewer->passes, static fn (Pass $pass): bool => $pass->until <= $answer->at && $pass->state !== PassState::Revoked && $course->offerOf($pass)?->plan?->name === $plan);
        $last = array_reduce($ended, static fn (?Pass $latest, Pass $pass): Pass => $latest === null || $pass->until > $latest->until ? $pass : $latest);

        return $plan === null || $last === null ? null : Say::text('learner.shop.begins_again', ['offer' => $course->offerOf($last)->title ?? $last->offer, 'at' => $this->clock->words($last->until)]);
    }
}
