<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Checks\Way;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\ItemDates;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/** What an offer is meant to open and never does, however diligent its holder is, and what keeps it shut. */
final class NeverComes implements Check
{
    public function find(Survey $survey): iterable
    {
        $blocked = [];
        foreach ($survey->wholeOffers() as $offer) {
            foreach ($this->never($survey, $offer) as $position => $way) {
                $kind = self::kind($survey, $way, $position);
                if ($kind !== null) {
                    $blocked[$kind->value][$offer->key][] = $position;
                }
            }
        }
        foreach ($blocked as $kind => $byOffer) {
            yield from self::told($survey, CheckKind::from($kind), $byOffer);
        }
        yield from (new Waiting)->findings($survey, fn (Offer $offer): array => $this->never($survey, $offer));
    }

    /**
     * @return array<int, Way> by position, in reading order: the first way on which it is meant to come and does not
     */
    private function never(Survey $survey, Offer $offer): array
    {
        $never = [];
        foreach (array_keys($survey->outline->items) as $position) {
            foreach ($this->waysTo($survey, $offer, $position) as $way) {
                if ($way->meant[$position] && $way->opens($position) === null) {
                    $never[$position] = $way;

                    break;
                }
            }
        }

        return $never;
    }

    /** @return iterable<Way> where one label keeps out what another lets in, one after the other */
    private function waysTo(Survey $survey, Offer $offer, int $position): iterable
    {
        $meant = false;
        foreach ($survey->ways($offer) as $way) {
            $meant = $meant || $way->meant[$position];
            yield $way;
        }
        foreach ($meant || ! $survey->isPublished($position) ? [] : $survey->labels as $label) {
            if ($survey->meant($offer, [$label])[$position]) {
                yield $survey->way($offer, [$label]);
            }
        }
    }

    /** Null: it waits for something else, which is told by {@see Waiting}. */
    private static function kind(Survey $survey, Way $way, int $position): ?CheckKind
    {
        $why = $way->last->why($position);
        $dates = self::dates($survey, $way, $position);
        $ends = $survey->course->closes ?? Instant::NEVER;

        return match (true) {
            in_array(Reason::Closed, $why, true), in_array(Reason::NotYet, $why, true) && $dates->closes <= $dates->opens => $dates->closes <= $way->pass->from ? CheckKind::ClosedToNewcomers : CheckKind::ClosesBeforeOpening,
            in_array(Reason::NotYet, $why, true) => $dates->opens >= $ends ? CheckKind::OpensAfterSeason : CheckKind::OpensAfterPass,
            in_array(Reason::Stuck, $why, true), in_array(Reason::Progress, $why, true) => null,
            in_array(Reason::NotForYou, $why, true) => CheckKind::ConditionNeverHolds,
            default => null,
        };
    }

    /**
     * Of what stands in something that never comes either, only that is told; offers that miss the same are told at once.
     *
     * @param  array<array-key, list<int>>  $byOffer  positions
     * @return iterable<Finding>
     */
    private static function told(Survey $survey, CheckKind $kind, array $byOffer): iterable
    {
        $groups = [];
        foreach ($byOffer as $offer => $positions) {
            $outermost = array_values(array_filter($positions, static fn (int $position): bool => ! in_array($survey->outline->parent[$position], $positions, true)));
            $groups[implode(' ', $outermost)][] = (string) $offer;
        }
        foreach ($groups as $positions => $offers) {
            $positions = array_map(intval(...), explode(' ', (string) $positions));
            $offer = $survey->plan->offer($offers[0]);
            if ($offer !== null) {
                yield new Finding($kind, $survey->keys($positions), $offers, $kind === CheckKind::ConditionNeverHolds ? self::asked($survey, $offer, $positions[0]) : [], self::facts($survey, $offer, $positions[0]));
            }
        }
    }

    /**
     * What the conditions on the way ask to be done, and whoever has no label cannot do.
     *
     * @return list<string> keys
     */
    private static function asked(Survey $survey, Offer $offer, int $position): array
    {
        $works = $survey->way($offer, [])->reach->works;
        $asked = [];
        foreach ($survey->outline->path[$position] as $step) {
            $only = $survey->outline->items[$step]->only;
            foreach ($only === null ? [] : ConditionLeaves::of($only) as $leaf) {
                if ($leaf instanceof IsDone && $works[$leaf->item] === null) {
                    $asked[] = $leaf->item;
                }
            }
        }

        return $survey->keys(array_values(array_unique($asked)));
    }

    /** @return array<string, int> */
    private static function facts(Survey $survey, Offer $offer, int $position): array
    {
        $way = $survey->way($offer, $survey->labels);
        $dates = self::dates($survey, $way, $position);

        return array_filter(
            ['opens' => $dates->opens, 'closes' => $dates->closes, 'ends' => min($way->pass->until, $survey->course->closes ?? Instant::NEVER)],
            static fn (int $instant): bool => $instant !== Instant::NEVER,
        );
    }

    private static function dates(Survey $survey, Way $way, int $position): ItemDates
    {
        return (new DatesForPass($survey->decider->prepared))->dates($way->offer, $way->pass, $way->labels)[$position];
    }
}
