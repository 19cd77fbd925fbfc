<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Memberships;
use App\Offers\Takers;
use App\Offers\Taking;
use App\Offers\Terms;
use App\Words\Say;
use SilentKeep\Core\Viewing\Pass;

/** Asks what somebody would get who takes an offer or a bundle, and whether they may. */
final readonly class Deals
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Memberships $memberships, private Terms $terms, private Takers $takers)
    {
    }

    /**
     * @param  ?Person  $person  null: somebody who is not known
     * @param  ?int  $at  instant at which it would be taken; null: now
     */
    public function of(Ware $ware, ?Person $person, ?int $at = null): Deal
    {
        $now = $at ?? $this->clock->now();
        $paidUntil = $ware->every === null ? null : $this->memberships->paidUntil($now, $ware->every, 1);
        $parts = [];
        $refusal = $ware->bundle !== null && ($ware->price === null || $ware->offers === []) ? Say::text('learner.terms.not_sold') : null;
        foreach ($ware->offers as $offer) {
            $taking = $this->part($ware, $offer, $person, $now, $paidUntil === null ? null : $this->memberships->passUntil($paidUntil));
            if ($ware->bundle === null || $taking->refusal === null) {
                $parts[] = [$offer, $taking];
            }
            // What they have of a bundle already is left out of it; anything else in the way stands in the way of it all.
            $refusal ??= $taking->refusal !== null && ($ware->bundle === null || ! $taking->has) ? $taking->refusal : null;
        }
        if ($refusal === null && $parts === []) {
            $refusal = Say::text('learner.terms.held_all');
        }

        return new Deal($refusal, $parts, $ware->bundle === null && $parts !== [] ? Prices::cents($parts[0][0], $parts[0][1]) : $ware->price ?? 0, $paidUntil);
    }

    private function part(Ware $ware, Offer $offer, ?Person $person, int $now, ?int $until): Taking
    {
        $decider = $this->plans->live($offer->course);
        if ($decider === null) {
            return Taking::refused(Say::text('learner.terms.not_sold'));
        }
        $answer = $this->plans->ask($decider, $this->viewers->of($person, $offer->course), $now);
        $taking = $this->terms->of($offer, $answer, $this->takers->of($person, $answer), alone: $ware->bundle === null, until: $until);
        if ($ware->every === null || $taking->renews === null || $taking->pass === null || $until === null) {
            return $taking;
        }
        // Paid for from now on, it does not wait for the end of what they hold: that ends with it, where it would not last longer.
        $held = $taking->renews;
        $number = array_search($held, $this->takers->of($person, $answer)->passes, false);

        return $held->until > $until || ! is_int($number)
            ? Taking::has($taking->refusal ?? Say::text('learner.terms.held_all'))
            : Taking::anew(new Pass($offer->key, $answer->at, $until, pacedFrom: $held->pacedFrom ?? $held->from), [$number => $held]);
    }
}
