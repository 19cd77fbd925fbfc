<?php

declare(strict_types=1);

namespace App\Pages\Learner\Outside;

use App\Access\SchoolClock;
use App\Learning\LearnerView;
use App\Learning\PathRow;
use App\Models\Course;
use App\Offers\Sales\ForSale;
use App\Offers\Sales\Shop;
use App\Offers\Taker;
use App\Words\Say;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/** Turns the course's grid outward: each offer that this visitor may take, with when it would open what, counted from now. */
final readonly class OfferColumnsBuilder
{
    /** So many stand beside the outline; the stylesheet knows as many. */
    public const MOST = 8;

    public function __construct(private Shop $shop, private SchoolClock $clock)
    {
    }

    /**
     * @param  list<PathRow>  $rows
     * @return list<OfferColumn>
     */
    public function of(Course $course, LearnerView $view, Taker $taker, array $rows): array
    {
        $outline = $view->answer->decider->course->outline;
        $columns = [];
        foreach (array_slice($this->shop->forSale($view->answer, $course, $taker), 0, self::MOST) as $one) {
            $columns[] = new OfferColumn(
                $this->shop->cardOf($one),
                $one->access->lasts->days === null || $one->offer->every !== null ? $this->shop->until($one->pass->until) : Say::text('front.opens.lasts', ['count' => $one->access->lasts->days]),
                Say::text('front.opens.covers', ['covered' => $one->covered(), 'lessons' => count($one->lessons)]),
                array_map(fn (PathRow $row): ?string => $this->opens($one, $outline, $outline->positionOf($row->key) ?? 0, $view->answer->decider->course->opens), $rows),
            );
        }

        return $columns;
    }

    private function opens(ForSale $one, Outline $outline, int $position, ?int $season): ?string
    {
        if ($outline->items[$position]->kind === Kind::Module) {
            $lessons = array_filter($one->lessons, static fn (int $lesson): bool => $lesson > $position && $lesson < $outline->end[$position]);

            return $lessons === [] ? null : Say::text('front.opens.of', ['covered' => count(array_filter($lessons, $one->reaches(...))), 'lessons' => count($lessons)]);
        }
        if (! $one->reaches($position)) {
            return null;
        }
        [$opens, $from] = [$one->opens($position), $one->pass->from];
        if ($opens <= $from) {
            return Say::text('front.opens.at_once');
        }
        // What the item lies in may be what it waits for.
        for ($of = $position; $outline->parent[$of] !== Outline::TOP && $one->dates[$outline->parent[$of]]->opens === $one->dates[$position]->opens;) {
            $of = $outline->parent[$of];
        }
        $delay = $one->access->plan?->opening($of)->delay();
        $nights = $this->clock->nightsBetween($from, $opens);

        return match (true) {
            // On a day of its own, or by days that were begun before.
            $delay === null, $opens === $season, $one->pass->pacedFrom !== null => $this->clock->cellDate($opens),
            $delay->weekday !== null => Say::text('front.opens.week', ['weekday' => $this->clock->weekday($opens), 'week' => intdiv($nights, 7) + 1]),
            default => Say::text('front.opens.day', ['day' => $nights + 1]),
        };
    }
}
