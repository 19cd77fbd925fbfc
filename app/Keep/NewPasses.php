<?php

declare(strict_types=1);

namespace App\Keep;

use App\Models\Offer;
use App\Models\Person;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Time\Instant;

/** Asks the core how a new pass is to be made. */
final readonly class NewPasses
{
    public function __construct(private Plans $plans, private Viewers $viewers)
    {
    }

    /** @return array{starts_at: int, ends_at: ?int, paced_from: ?int, state: string} instants */
    public function columns(Person $person, Offer $offer, int $from): array
    {
        $decider = $this->plans->live($offer->course) ?? throw new \LogicException('A pass needs a published course.');
        $access = $decider->prepared->plan->offer($offer->key) ?? throw new \LogicException("The published rules do not know the offer {$offer->key}.");
        $held = $this->viewers->of($person, $offer->course)->passes;
        $pass = NewPass::of($access, $from, $held, $decider->prepared, $decider->prepared->plan->zone);

        return ['starts_at' => $pass->from, 'ends_at' => $pass->until === Instant::NEVER ? null : $pass->until, 'paced_from' => $pass->pacedFrom, 'state' => $pass->state->value];
    }
}
