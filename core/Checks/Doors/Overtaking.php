<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Doors;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\AtOnce;
use SilentKeep\Core\Rules\Held;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Viewer;

/** Whether those without a pass are ahead of those with one, or nothing holds them back. */
final class Overtaking implements Check
{
    public function find(Survey $survey): iterable
    {
        if ($survey->isOver() || $survey->offers() === []) {
            return;
        }
        $unpaced = $survey->course->mainPlan === null ? $this->unpaced($survey) : [];
        if ($unpaced !== []) {
            yield new Finding(CheckKind::NoMainPlan, about: $unpaced);
        }
        foreach (Audience::cases() as $audience) {
            if (in_array($audience->value, $unpaced, true) || ! $survey->isOpenFor($audience) || ($audience === Audience::Observers && $survey->course->observerDoor->follow)) {
                continue;
            }
            $ahead = self::ahead($survey, $audience);
            if ($ahead !== []) {
                yield new Finding(CheckKind::OvertakesLearners, $survey->keys($ahead), about: [$audience->value]);
            }
        }
    }

    /**
     * Who is let in without a pass where passes are paced, and is bound by no dates.
     *
     * @return list<string> audiences, or `anyone`
     */
    private function unpaced(Survey $survey): array
    {
        $paced = array_filter(array_keys($survey->outline->items), fn (int $position): bool => $survey->isPublished($position) && self::isPaced($survey, $position));
        $let = [];
        if ($survey->course->entry === Entry::Anyone && array_filter($paced, static fn (int $position): bool => ! $survey->decider->prepared->tiersOnPath[$position]) !== []) {
            $let[] = 'anyone';
        }
        $prepared = $survey->decider->prepared;
        foreach ([[Audience::Guests, $prepared->guests], [Audience::Observers, $prepared->observers]] as [$audience, $admission]) {
            $follows = $audience === Audience::Observers && $survey->course->observerDoor->follow;
            if (! $follows && $survey->isOpenFor($audience) && array_filter($paced, static fn (int $position): bool => $admission->admits[$position] && $admission->tiersAllow[$position]) !== []) {
                $let[] = $audience->value;
            }
        }

        return $let;
    }

    private static function isPaced(Survey $survey, int $position): bool
    {
        foreach ($survey->offers() as $offer) {
            foreach ($survey->outline->path[$position] as $step) {
                $opening = $offer->plan?->opening($step) ?? new AtOnce;
                if (! $opening instanceof AtOnce && ! $opening instanceof Held) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<int> what they see now, and no holder of any offer that is meant to open it does who begins now */
    private static function ahead(Survey $survey, Audience $audience): array
    {
        $viewer = $audience === Audience::Guests
            ? new Viewer(guest: true, labels: $survey->labels)
            : new Viewer(signedIn: true, labels: $survey->labels, observes: new Viewer(signedIn: true));
        $via = $audience === Audience::Guests ? Route::Guest : Route::Observer;
        $ahead = [];
        foreach ($survey->snapshot($viewer, $survey->from)->standings as $position => $standing) {
            if ($standing->via !== $via || $survey->outline->items[$position]->kind === Kind::Board) {
                continue;
            }
            $meant = array_filter($survey->offers(), static fn (Offer $offer): bool => $survey->way($offer, $survey->labels)->meant[$position]);
            if ($meant !== [] && ! in_array(true, array_map(static fn (Offer $offer): bool => $survey->way($offer, $survey->labels)->opens($position) === $survey->from, $meant), true)) {
                $ahead[] = $position;
            }
        }

        return array_values(array_filter($ahead, static fn (int $position): bool => ! in_array($survey->outline->parent[$position], $ahead, true)));
    }
}
