<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Checks\Way;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Viewing\Offer;

/** A bonus that those who have it must finish before they go on where others go on without it. */
final class HoldsUp implements Check
{
    public function find(Survey $survey): iterable
    {
        foreach ($survey->outline->items as $bonus => $item) {
            $labels = $item->only === null || $item->kind === Kind::Board || ! $survey->isPublished($bonus) ? [] : self::labels($item->only);
            foreach ($labels === [] ? [] : $survey->offers() as $offer) {
                $held = $survey->meant($offer, $labels)[$bonus] && ! $survey->meant($offer, [])[$bonus] ? self::heldUp($survey, $offer, $bonus, $labels) : null;
                if ($held !== null) {
                    yield new Finding(CheckKind::HoldsUpHolders, $survey->keys([$held, $bonus]), self::offers($survey, $bonus, $labels), $labels);

                    break;
                }
            }
        }
    }

    /**
     * @param  list<string>  $labels
     * @return list<string>
     */
    private static function offers(Survey $survey, int $bonus, array $labels): array
    {
        return array_map(static fn (Offer $offer): string => $offer->key, array_values(array_filter($survey->offers(), static fn (Offer $offer): bool => $survey->meant($offer, $labels)[$bonus])));
    }

    /** @return list<string> */
    private static function labels(\SilentKeep\Core\Rules\Condition $only): array
    {
        return array_values(array_unique(array_map(
            static fn (HasLabel $leaf): string => $leaf->label,
            array_filter(ConditionLeaves::of($only), static fn (\SilentKeep\Core\Rules\Condition $leaf): bool => $leaf instanceof HasLabel),
        )));
    }

    /**
     * What is open to whoever has done all else, and not to the same person with the label.
     *
     * @param  list<string>  $labels
     */
    private static function heldUp(Survey $survey, Offer $offer, int $bonus, array $labels): ?int
    {
        $plain = $survey->way($offer, []);
        $at = self::lastInSeason($survey, $plain);
        $done = [];
        foreach ($survey->outline->items as $position => $item) {
            if (! $survey->outline->lies($position, $bonus)) {
                $done[$item->key] = $plain->pass->from;
            }
        }
        $open = static function (array $labels, int $without) use ($survey, $plain, $done, $at): string {
            /** @var list<string> $labels */
            $inside = $survey->keys(range($without, $survey->outline->end[$without] - 1));
            $viewer = $plain->reach->afterwards->withDone(array_diff_key($done, array_flip($inside)));
            foreach ($labels as $label) {
                $viewer = $viewer->withLabel($label);
            }

            return $survey->compiled->viewer($viewer, $at)->open($at)[0];
        };
        foreach (self::behind($survey, $bonus) as $position) {
            if ($open([], $position)[$position] === Mask::IN && $open($labels, $position)[$position] === Mask::OUT) {
                return $position;
            }
        }

        return null;
    }

    private static function lastInSeason(Survey $survey, Way $way): int
    {
        $season = array_filter($way->reach->instants, static fn (int $at): bool => $at < ($survey->course->closes ?? PHP_INT_MAX));

        return $season === [] ? $way->pass->from : max($season);
    }

    /**
     * What may wait for it: its later siblings in order, and whatever names it or something it stands in, or follows that in order.
     *
     * @return list<int>
     */
    private static function behind(Survey $survey, int $bonus): array
    {
        $behind = [];
        foreach ($survey->outline->items as $position => $item) {
            if ($survey->outline->lies($position, $bonus) || in_array($position, $survey->outline->path[$bonus], true) || $item->kind === Kind::Board) {
                continue;
            }
            $above = $survey->outline->parent[$position];
            $inOrder = $above < 0 ? $survey->course->inOrder : $survey->outline->items[$above]->inOrder;
            $follows = $inOrder && $position > $bonus && ($above < 0 || $survey->outline->lies($bonus, $above));
            if ($follows || array_intersect($item->after->items ?? [], $survey->outline->path[$bonus]) !== []) {
                $behind[] = $position;
            }
        }

        return $behind;
    }
}
