<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Viewing\Viewer;

/** What is said to come first and never holds anybody up: for no holder does any of it count. */
final class WaitsForNothing implements Check
{
    public function find(Survey $survey): iterable
    {
        $waits = array_filter($survey->outline->items, static fn ($item, int $position): bool => $item->after !== null && $item->after->items !== [] && $survey->isPublished($position), ARRAY_FILTER_USE_BOTH);
        $pointless = $waits;
        $ways = array_merge([], ...array_map($survey->ways(...), $survey->offers()));
        $met = [];
        foreach ($waits === [] ? [] : $ways as $way) {
            $snapshot = $survey->snapshot(new Viewer(signedIn: true, labels: $way->labels, passes: [$way->pass]), $way->pass->from);
            foreach (array_keys($waits) as $position) {
                if ($way->meant[$position]) {
                    $met[$position] ??= true;
                    if ($snapshot->passFor($position)?->progress->afterMet($position) !== true) {
                        unset($pointless[$position]);
                    }
                }
            }
        }
        foreach (array_intersect_key($pointless, $met) as $position => $item) {
            yield new Finding(CheckKind::WaitsForNothing, $survey->keys([$position]), about: $survey->keys($item->after->items ?? []));
        }
    }
}
