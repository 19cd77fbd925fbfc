<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Viewer;

/** A lesson new in a draft that locks, in order, what those who are further on have open. */
final class NewLessonLocks implements Check
{
    public function find(Survey $survey): iterable
    {
        $live = $survey->circumstances->live;
        if ($live === null) {
            return;
        }
        $before = CompiledDecider::of((new Decider($survey->plan, $live->asLive()))->prepared);
        foreach ($survey->outline->items as $new => $item) {
            $above = $survey->outline->parent[$new];
            $inOrder = $above < 0 ? $survey->course->inOrder : $survey->outline->items[$above]->inOrder;
            if (! $inOrder || $item->kind === Kind::Board || $item->optional || ! $survey->isPublished($new) || self::wasThere($live, $item->key)) {
                continue;
            }
            $locked = self::locked($survey, $live, $before, $new);
            if ($locked !== []) {
                yield new Finding(CheckKind::NewLessonLocks, $survey->keys([$new]), about: $survey->keys($locked));
            }
        }
    }

    private static function wasThere(Course $live, string $key): bool
    {
        $position = $live->outline->positionOf($key);

        return $position !== null && ! $live->outline->draftOnPath[$position];
    }

    /**
     * Later siblings that are open by the rules in force to whoever has done all before them, and not by these.
     *
     * @return list<int>
     */
    private static function locked(Survey $survey, Course $live, CompiledDecider $before, int $new): array
    {
        $outline = $survey->outline;
        $locked = [];
        foreach ($survey->offers() as $offer) {
            $way = $survey->way($offer, $survey->labels);
            $at = $way->reach->instants[count($way->reach->instants) - 1];
            for ($position = $outline->end[$new]; $position < $outline->count(); $position = $outline->end[$position]) {
                $was = $live->outline->positionOf($outline->items[$position]->key);
                if ($outline->parent[$position] !== $outline->parent[$new]) {
                    break;
                }
                if ($was === null) {
                    continue;
                }
                $viewer = self::whoCameSoFar($survey, $live, $position, $way->reach->afterwards);
                if ($before->viewer($viewer, $at)->open($at)[0][$was] === Mask::IN && $survey->compiled->viewer($viewer, $at)->open($at)[0][$position] === Mask::OUT) {
                    $locked[] = $position;
                }
            }
        }

        return array_values(array_unique($locked));
    }

    /** Who has done all that was there before a position. */
    private static function whoCameSoFar(Survey $survey, Course $live, int $position, Viewer $viewer): Viewer
    {
        $done = [];
        for ($at = 0; $at < $position; $at++) {
            $key = $survey->outline->items[$at]->key;
            if (self::wasThere($live, $key)) {
                $done[$key] = $survey->from;
            }
        }

        return $viewer->withDone($done);
    }
}
