<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Access\SchoolClock;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Viewing\Viewer;

/** Vantages as pages name them. */
final readonly class VantageWords
{
    public function __construct(private SchoolClock $clock)
    {
    }

    public function of(SeenFrom $seen, Decider $decider): Vantage
    {
        $offer = $seen->offer === null ? null : $seen->offer->title ?? $seen->offer->key;
        $learner = $seen->point->observed ?? $seen->point;
        $day = $seen->since === null ? null : $learner->day;
        $holder = $offer === null ? null : "{$offer}, ".self::day($learner->day).($learner->diligent ? ', all finished' : '').($learner->labels === [] ? '' : ', with '.implode(', ', $learner->labels));
        [$title, $detail, $name] = match ($seen->point->kind) {
            VantageKind::Visitor => ['Visitor', 'not signed in', 'a visitor'],
            VantageKind::Guest => ['Guest', 'by the guest door', 'a guest'],
            VantageKind::Member => ['Member', 'signed in, no pass', 'somebody signed in without a pass'],
            VantageKind::Holder => [(string) $offer, $learner->labels === [] ? null : 'with '.implode(', ', $learner->labels), (string) $holder],
            VantageKind::Person => [$seen->person->name ?? '', $this->passes($seen->viewer, $decider), $seen->person->name ?? ''],
            VantageKind::Observer => ['Observer', 'of '.($seen->person->name ?? $holder), 'an observer of '.($seen->person->name ?? $holder)],
        };

        return new Vantage(
            (string) $seen->point, $seen->point->kind->value, $title, $name, $detail, $seen->offer?->key, $seen->since, $day, $learner->diligent,
            $seen->offer === null ? null : $seen->offer->plan?->name,
            $learner->labels,
        );
    }

    public static function day(int $day): string
    {
        return match (true) {
            $day >= 0 => "day {$day}",
            $day === -1 => 'begins tomorrow',
            default => 'begins in '.-$day.' days',
        };
    }

    private function passes(Viewer $viewer, Decider $decider): string
    {
        if ($viewer->staff) {
            return 'staff';
        }
        $now = $this->clock->now();
        $titles = [];
        foreach ($viewer->passes as $pass) {
            $offer = $decider->prepared->offerOf($pass);
            if ($offer !== null && $pass->isActive($now)) {
                $titles[] = $offer->title ?? $offer->key;
            }
        }

        return $titles !== [] ? implode(', ', array_unique($titles)) : ($viewer->passes === [] ? 'no pass' : 'no active pass');
    }
}
