<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Doors;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Viewer;

/** Samples that show nothing new, samples that nobody can see, and samples that give away too much. */
final class Samples implements Check
{
    public function find(Survey $survey): iterable
    {
        $samples = $survey->decider->prepared->samples;
        if (! $samples->any || $survey->isOver()) {
            return;
        }
        $forNobody = $idle = [];
        foreach ($survey->outline->items as $position => $item) {
            if (! $item->sample || ! $survey->isPublished($position)) {
                continue;
            }
            $member = $samples->mayAdmit($position, ViewerKind::Member);
            $visitor = ! $survey->course->sampleNeedsAccount && $samples->mayAdmit($position, ViewerKind::Visitor);
            if (! $member && ! $visitor) {
                $forNobody[] = $position;
            } elseif (self::isIdle($survey, $position)) {
                $idle[] = $position;
            }
        }
        if ($forNobody !== []) {
            yield new Finding(CheckKind::SampleForNobody, $survey->keys($forNobody));
        }
        if ($idle !== []) {
            yield new Finding(CheckKind::SampleNoEffect, $survey->keys($idle));
        }
        yield from $this->share($survey);
    }

    /** Whether all who see it as a sample see it anyway: as anyone, or as part of the sample it stands in. */
    private static function isIdle(Survey $survey, int $position): bool
    {
        $above = $survey->outline->parent[$position];
        $item = $survey->outline->items[$position];
        $samples = $survey->decider->prepared->samples;
        if ($above >= 0 && $samples->unconditional && $samples->forSomebody[$above] && $item->tiers === null && $item->neverFor === []) {
            return true;
        }
        if ($survey->course->entry !== Entry::Anyone) {
            return false;
        }
        foreach ([[], $survey->labels] as $labels) {
            foreach ([true, false] as $signedIn) {
                $masks = $survey->compiled->viewer(new Viewer(signedIn: $signedIn, labels: $labels), $survey->from);
                if ($masks->asSample($survey->from)[$position] === Mask::IN && $masks->asAnyone($survey->from)[$position] === Mask::OUT) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return iterable<Finding> */
    private function share(Survey $survey): iterable
    {
        if ($survey->course->entry === Entry::Anyone) {
            return;
        }
        $given = $survey->strangers(signedIn: true);
        $minutes = $survey->circumstances->minutes;
        $lessons = $of = $minutesGiven = $minutesInAll = 0;
        foreach ($survey->outline->items as $position => $item) {
            if ($survey->outline->isPublishedLesson($position)) {
                $of++;
                $minutesInAll += $minutes[$item->key] ?? 0;
                $lessons += $given[$position] === null ? 0 : 1;
                $minutesGiven += $given[$position] === null ? 0 : $minutes[$item->key] ?? 0;
            }
        }
        $most = $survey->circumstances->sampleShare;
        // One lesson is a taste, however few there are.
        if ($lessons > 1 && ($lessons > $most * $of || $minutesGiven > $most * $minutesInAll)) {
            $marked = array_keys(array_filter($survey->outline->items, static fn ($item, int $position): bool => $item->sample && $survey->isPublished($position), ARRAY_FILTER_USE_BOTH));
            yield new Finding(CheckKind::SamplesGiveMuch, $survey->keys($marked), facts: ['lessons' => $lessons, 'of' => $of, 'minutes' => $minutesGiven, 'of_minutes' => $minutesInAll, 'share' => $most]);
        }
    }
}
