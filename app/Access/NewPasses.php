<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Offer;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

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

    /**
     * The same for many at once, in a fixed number of queries.
     *
     * @param  Collection<int, Person>  $people
     * @param  bool  $pacesAnew  though an earlier pass would carry its pacing on
     * @return ?array<int, ?array{starts_at: int, ends_at: ?int, paced_from: ?int}> by person, null for who holds one of this offer that lasts as long; null where what it opens is not published
     */
    public function columnsForAll(Collection $people, Offer $offer, int $from, bool $pacesAnew): ?array
    {
        $decider = $this->plans->live($offer->course);
        $access = $decider?->prepared->plan->offer($offer->key);
        if ($decider === null || $access === null) {
            return null;
        }
        $viewers = $this->viewers->ofAll($people, new Collection([$offer->course]));
        $columns = [];
        foreach ($people as $person) {
            $held = $viewers[$person->id][$offer->course_id]->passes;
            $pass = NewPass::of($access, $from, $held, $decider->prepared, $decider->prepared->plan->zone);
            $columns[$person->id] = self::holdsAsLong($held, $pass) ? null : [
                'starts_at' => $pass->from, 'ends_at' => $pass->until === Instant::NEVER ? null : $pass->until, 'paced_from' => $pacesAnew ? null : $pass->pacedFrom,
            ];
        }

        return $columns;
    }

    /** @param  list<Pass>  $held */
    private static function holdsAsLong(array $held, Pass $new): bool
    {
        foreach ($held as $pass) {
            if ($pass->offer === $new->offer && $pass->state === PassState::Active && $pass->from <= $new->from && $pass->until >= $new->until) {
                return true;
            }
        }

        return false;
    }
}
