<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Selling;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Rules\AllOf;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\HasTier;
use SilentKeep\Core\Viewing\Offer;

/** Tiers that no offer gives, labels that nothing gives, release plans that no offer goes by. */
final class GivenByNothing implements Check
{
    public function find(Survey $survey): iterable
    {
        $offers = $survey->course->offers;
        $tiers = array_map(static fn (Offer $offer): ?string => $offer->tier, $offers);
        foreach (array_diff($survey->course->tiers, $tiers) as $tier) {
            $for = array_keys(array_filter($survey->outline->items, static fn (Item $item): bool => self::isFor($item, $tier, $tiers)));
            if ($for !== []) {
                yield new Finding(CheckKind::TierNotGiven, $survey->keys($for), about: [$tier]);
            }
        }
        yield from $this->labels($survey);
        $used = array_map(static fn (Offer $offer): ?string => $offer->plan?->name, $offers);
        foreach ($survey->course->plans as $plan) {
            if (! in_array($plan->name, [...$used, $survey->course->mainPlan?->name], true)) {
                yield new Finding(CheckKind::PlanUnused, about: [$plan->name]);
            }
        }
    }

    /**
     * Whether an item is for a tier, and for none that is given.
     *
     * @param  array<?string>  $given
     */
    private static function isFor(Item $item, string $tier, array $given): bool
    {
        $tiers = $item->tiers ?? [];

        return (in_array($tier, $tiers, true) && array_intersect($tiers, $given) === []) || ($item->only !== null && in_array($tier, self::named($item->only, HasTier::class), true));
    }

    /** @return iterable<Finding> */
    private function labels(Survey $survey): iterable
    {
        $known = $survey->circumstances->labels;
        if ($known === null) {
            return;
        }
        $given = [...$known, ...array_merge([], ...array_map(static fn (Offer $offer): array => $offer->labels, array_values($survey->plan->offers)))];
        $asked = [];
        foreach ($survey->outline->items as $position => $item) {
            foreach ($item->only === null || ! $survey->isPublished($position) ? [] : array_diff(self::named($item->only, HasLabel::class), $given) as $label) {
                $asked[$label][] = $position;
            }
        }
        foreach ($asked as $label => $positions) {
            yield new Finding(CheckKind::LabelNotGiven, $survey->keys($positions), about: [(string) $label]);
        }
    }

    /**
     * What a condition asks for to be so; what it asks not to be so harms nobody by not being given.
     *
     * @param  class-string<HasLabel|HasTier>  $kind
     * @return list<string>
     */
    private static function named(Condition $condition, string $kind): array
    {
        return match (true) {
            $condition instanceof AllOf, $condition instanceof AnyOf => array_values(array_unique(array_merge([], ...array_map(static fn (Condition $part): array => self::named($part, $kind), $condition->conditions)))),
            $condition instanceof $kind && $condition instanceof HasLabel => [$condition->label],
            $condition instanceof $kind && $condition instanceof HasTier => [$condition->tier],
            default => [],
        };
    }
}
