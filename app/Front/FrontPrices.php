<?php

declare(strict_types=1);

namespace App\Front;

use App\Access\Kept;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Pass;
use App\Offers\Sales\ForSale;
use App\Offers\Sales\Prices;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use Illuminate\Support\Facades\Lang;

/**
 * The cheapest way into each course, as the shop has it for whoever comes for the first time; kept until it may be another, for a
 * front of two hundred courses is not two hundred shops opened.
 */
final readonly class FrontPrices
{
    /** Seconds after which it is asked again, whatever happens: what may be taken depends on when. */
    private const FOR = 3600;

    public function __construct(private Kept $kept, private Plans $plans, private Shop $shop, private Takers $takers, private Pace $pace, private SchoolClock $clock)
    {
    }

    /**
     * Two queries where all is kept.
     *
     * @param  list<int>  $courses  by id
     * @return array<int, FrontPrice> of those that were ever published
     */
    public function all(array $courses): array
    {
        $stamps = array_intersect_key($this->plans->stamps(), array_flip($courses));
        $sold = [];
        foreach (Offer::query()->toBase()->select('id', 'course_id', 'price', 'most', 'updated_at')->whereIntegerInRaw('course_id', array_keys($stamps))->orderBy('id')->get() as $row) {
            $stamps[Value::int($row->course_id)] .= ' '.implode(' ', array_map(Value::text(...), [$row->id, $row->price ?? '-', $row->updated_at]));
            if ($row->most !== null) {
                $sold[Value::int($row->id)] = Value::int($row->course_id);
            }
        }
        foreach ($sold === [] ? [] : Pass::query()->toBase()->whereIntegerInRaw('offer_id', array_keys($sold))->groupBy('offer_id')->selectRaw('offer_id, count(*) as n, max(updated_at) as at')->get() as $row) {
            $stamps[$sold[Value::int($row->offer_id)]] .= ' '.implode(' ', array_map(Value::text(...), [$row->offer_id, $row->n, $row->at]));
        }
        [$now, $language] = [$this->clock->now(), Lang::getLocale()];

        return $this->kept->all('front', FrontPrice::class, $stamps, $this->ask(...), static fn (FrontPrice $price): bool => $price->holdsAt($now, $language));
    }

    /**
     * @param  list<int>  $courses
     * @return array<int, FrontPrice>
     */
    private function ask(array $courses): array
    {
        $prices = [];
        foreach (Course::query()->with('liveRevision')->whereIntegerInRaw('id', $courses)->get() as $course) {
            $decider = $this->plans->live($course);
            if ($decider === null) {
                continue;
            }
            $answer = $this->plans->ask($decider, Viewers::visitor(), $this->clock->now());
            $ways = $this->shop->forSale($answer, $course, $this->takers->of(null, $answer));
            $prices[$course->id] = $this->price($ways, $course, min($answer->holdsUntil(), $answer->at + self::FOR), $ways === [] ? null : $this->pace->words($ways[0], $decider->course->outline));
        }

        return $prices;
    }

    /** @param  list<ForSale>  $ways */
    private function price(array $ways, Course $course, int $until, ?string $pace): FrontPrice
    {
        $now = $this->clock->now();
        $next = Offer::query()->where('course_id', $course->id)->whereNotNull('price')->where('sold_from', '>', gmdate('Y-m-d H:i:s', $now))->orderBy('sold_from')->first()?->sold_from?->getTimestamp();
        foreach ($ways as $way) {
            $until = min($until, $way->offer->sold_until?->getTimestamp() ?? $until);
        }
        // A trial is a way to look, not what the course costs.
        $counted = array_values(array_filter($ways, static fn (ForSale $way): bool => ! $way->offer->trial));
        $counted = $counted === [] ? $ways : $counted;
        usort($counted, static fn (ForSale $a, ForSale $b): int => Prices::cents($a->offer, $a->taking) <=> Prices::cents($b->offer, $b->taking));
        $first = $counted[0] ?? null;

        return new FrontPrice(
            $first === null ? null : Prices::cents($first->offer, $first->taking), $first->offer->currency ?? 'EUR', $first?->offer->every, count($counted) > 1,
            $pace, $first === null ? $next : null, Lang::getLocale(), $now, min($until, $next ?? $until),
        );
    }
}
