<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Access\SchoolClock;
use App\Words\Say;
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
        $with = $learner->labels === [] ? null : Say::text('sightlines.vantage_words.with_labels', ['labels' => implode(', ', $learner->labels)]);
        $holder = $offer === null ? null : Say::text('sightlines.vantage_words.holder', ['offer' => $offer, 'day' => self::day($learner->day), 'diligent' => $learner->diligent ? 'yes' : 'no', 'labels' => $with === null ? '' : ", {$with}"]);
        [$title, $detail, $name] = match ($seen->point->kind) {
            VantageKind::Visitor => [Say::text('sightlines.vantage_words.visitor'), Say::text('sightlines.vantage_words.not_signed_in'), Say::text('sightlines.vantage_words.a_visitor')],
            VantageKind::Guest => [Say::text('sightlines.vantage_words.guest'), Say::text('sightlines.vantage_words.by_the_guest_door'), Say::text('sightlines.vantage_words.a_guest')],
            VantageKind::Member => [Say::text('sightlines.vantage_words.member'), Say::text('sightlines.vantage_words.signed_in_no_pass'), Say::text('sightlines.vantage_words.somebody_signed_in_without')],
            VantageKind::Holder => [(string) $offer, $with, (string) $holder],
            VantageKind::Person => [$seen->person->name ?? '', $this->passes($seen->viewer, $decider), $seen->person->name ?? ''],
            VantageKind::Observer => [Say::text('sightlines.vantage_words.observer'), Say::text('sightlines.vantage_words.of_name', ['name' => $seen->person->name ?? (string) $holder]), Say::text('sightlines.vantage_words.an_observer_of_name', ['name' => $seen->person->name ?? (string) $holder])],
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
            $day >= 0 => Say::text('sightlines.vantage_words.day_day', ['day' => $day]),
            $day === -1 => Say::text('sightlines.vantage_words.begins_tomorrow'),
            default => Say::text('sightlines.vantage_words.begins_in_day_days', ['day' => -$day]),
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

        return $titles !== [] ? implode(', ', array_unique($titles)) : ($viewer->passes === [] ? Say::text('sightlines.vantage_words.no_pass') : Say::text('sightlines.vantage_words.no_active_pass'));
    }
}
