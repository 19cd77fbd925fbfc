<?php

declare(strict_types=1);

namespace App\Front;

use App\Access\SchoolClock;
use App\Offers\Sales\ForSale;
use App\Words\Say;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/** How fast a pass opens a course, in two or three words: told of the dates that the core has for it. */
final readonly class Pace
{
    /** Days from one opening to the next, on average, that are called so. */
    private const NAMES = ['daily' => [0.7, 1.5], 'weekly' => [5.5, 9.0], 'fortnightly' => [11.0, 17.5], 'monthly' => [25.0, 35.0]];

    public function __construct(private SchoolClock $clock)
    {
    }

    public function words(ForSale $one, Outline $outline): string
    {
        $days = [];
        $unit = Kind::Lesson;
        foreach ($one->lessons as $lesson) {
            if (! $one->reaches($lesson)) {
                continue;
            }
            $top = $lesson;
            while ($outline->parent[$top] !== Outline::TOP) {
                $top = $outline->parent[$top];
            }
            $unit = $outline->items[$top]->kind === Kind::Module ? Kind::Module : $unit;
            $day = max(0, $this->clock->wholeDays($one->pass->from, $one->opens($lesson)));
            $days[$top] = min($days[$top] ?? $day, $day);
        }
        $days = array_values(array_unique($days));
        sort($days);
        $last = $days === [] ? 0 : $days[count($days) - 1];
        if ($last === 0) {
            return Say::text('front.pace.at_once');
        }
        $gap = count($days) > 1 ? ($last - $days[0]) / (count($days) - 1) : 0;
        foreach (self::NAMES as $name => [$least, $most]) {
            if (count($days) > 2 && $gap >= $least && $gap <= $most) {
                return Say::text("front.pace.{$name}", ['unit' => $unit->value]);
            }
        }

        return $last < 14 ? Say::text('front.pace.over_days', ['count' => $last]) : Say::text('front.pace.over_weeks', ['count' => (int) ceil($last / 7)]);
    }
}
