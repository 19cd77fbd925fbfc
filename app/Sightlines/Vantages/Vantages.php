<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Staff\PeopleInSight;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Viewer;

/** Finds out who stands at each vantage, in a fixed number of queries. */
final readonly class Vantages
{
    /** Of columns in one view. */
    public const MOST = 30;

    private const DAY_AT_FIRST = 3;

    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private PeopleInSight $sight)
    {
    }

    /**
     * Those that a course is first seen from.
     *
     * @return list<VantagePoint>
     */
    public function usual(Decider $decider): array
    {
        $holders = array_map(static fn (Offer $offer): VantagePoint => VantagePoint::holder($offer->key, self::DAY_AT_FIRST), $decider->course->offers);

        return array_slice([VantagePoint::visitor(), VantagePoint::guest(), ...($holders === [] ? [] : [VantagePoint::observer($holders[0])]), ...$holders], 0, self::MOST);
    }

    /**
     * Those who are not there, a person or an offer that is no more, are left out.
     *
     * @param  list<VantagePoint>  $points
     * @param  ?int  $asOf  the instant at which days are counted; null: now
     * @return list<SeenFrom>
     */
    public function stand(Course $course, Decider $decider, array $points, ?int $asOf = null): array
    {
        $ids = [];
        foreach ($points as $point) {
            $ids[] = $point->person ?? $point->observed?->person;
        }
        $ids = array_values(array_unique(array_filter($ids, is_int(...))));
        $people = $ids === [] ? new Collection : $this->sight->at($course, Person::query()->whereIn('id', $ids))->get()->keyBy('id')->toBase();
        /** @var Collection<int, Person> $people */
        $viewers = $people->isEmpty() ? [] : $this->viewers->ofAll($people->values(), new Collection([$course]));
        $compiled = $this->plans->compiled($decider);
        $seen = [];
        foreach ($points as $point) {
            $learner = $point->observed ?? $point;
            $person = $people->get($learner->person ?? 0);
            $viewer = $person === null ? null : $viewers[$person->id][$course->id] ?? null;
            $offer = $since = null;
            if ($learner->kind === VantageKind::Holder) {
                $offer = self::offer($decider, (string) $learner->offer);
                // Whole minutes, so that what is asked twice within one says the same.
                $since = $decider->prepared->plan->zone->plusDays($asOf ?? $this->clock->now(), -$learner->day);
                $viewer = $offer === null ? null : $this->holder($offer, $since, $learner, $decider, $compiled);
            } elseif ($learner->kind !== VantageKind::Person) {
                $viewer = $this->alone($learner->kind);
            }
            if ($viewer !== null) {
                $seen[] = new SeenFrom($point, $point->observed === null ? $viewer : Viewers::observerOf($viewer), $person, $offer, $since);
            }
        }

        return $seen;
    }

    private static function offer(Decider $decider, string $key): ?Offer
    {
        foreach ($decider->course->offers as $offer) {
            if ($offer->key === $key) {
                return $offer;
            }
        }

        return null;
    }

    private function holder(Offer $offer, int $since, VantagePoint $point, Decider $decider, CompiledDecider $compiled): Viewer
    {
        $holder = array_reduce($point->labels, static fn (Viewer $one, string $label): Viewer => $one->withLabel($label), Viewers::holderOf($offer, $since, $decider->prepared->plan->zone));

        return $point->diligent ? (new Reaching($decider, $compiled))->reach($holder, $since, $holder->passes[0]->until)->afterwards : $holder;
    }

    private function alone(VantageKind $kind): Viewer
    {
        return match ($kind) {
            VantageKind::Guest => Viewers::guest(),
            VantageKind::Member => Viewers::member(),
            default => Viewers::visitor(),
        };
    }
}
