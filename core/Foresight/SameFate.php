<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\Profile;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\Course;

/**
 * Tells people apart by what a change of plan can see of them, so that whom it does the same is looked at once. Two holders who have
 * done the same, have the same labels and the same dates ahead share their fate; which dates lie behind them, and how long ago, does
 * not matter.
 */
final class SameFate
{
    /** Whether the two courses differ by their release plans alone. */
    private readonly bool $onlyDatesDiffer;

    /** @var array<array-key, ?DatesMoved> by offer; null: more than its dates differs */
    private array $dates = [];

    public function __construct(CompiledDecider $before, CompiledDecider $after, private readonly int $at)
    {
        $this->onlyDatesDiffer = self::withoutDates($before->course) == self::withoutDates($after->course);
    }

    /** @return array<array-key, mixed> */
    private static function withoutDates(Course $course): array
    {
        $rules = get_object_vars($course);
        unset($rules['title'], $rules['mainPlan'], $rules['plans'], $rules['offers']);

        return $rules;
    }

    /** Whether it can be told from dates, labels and what is done: only then may the other two be asked. */
    public function isTold(ViewerMasks $before, ViewerMasks $after): bool
    {
        return $before->goesByDatesAlone() && $after->goesByDatesAlone();
    }

    /** @return string the same for people who share their fate */
    public function of(ViewerMasks $before, ViewerMasks $after): string
    {
        $fate = $before->done."\0".$after->done."\0".($before->viewer->signedIn ? '1' : '0').$before->labels->stand($this->at)."\0".$after->labels->stand($this->at);
        foreach ([$before, $after] as $viewer) {
            $fate .= "\n";
            foreach ($viewer->passes as $pass) {
                $fate .= "\0".$pass->pass->offer."\0".$pass->pass->state->value.','.max($this->at, $pass->pass->from).','.$pass->pass->until.','.$pass->datesAhead($this->at);
            }
        }

        return $fate;
    }

    /**
     * The items whose dates the change may move for this viewer while they lie ahead, and some others: empty where it leaves them alone. It grows
     * as people come whose dates move otherwise, so that there are few of them for many people.
     *
     * @return ?string mask of the items of both outlines, which are the same; null: more than dates has changed, or most of these
     */
    public function moved(ViewerMasks $before, ViewerMasks $after): ?string
    {
        if (! $this->onlyDatesDiffer || $before->labels->stand($this->at) !== $after->labels->stand($this->at) || count($before->passes) !== count($after->passes)) {
            return null;
        }
        $moved = '';
        foreach ($before->passes as $index => $pass) {
            $dates = $this->dates($pass->profile, $after->passes[$index]->profile);
            if ($dates === null) {
                return null;
            }
            if ($dates->move($pass, $after->passes[$index], $this->at)) {
                $moved = $moved === '' ? $dates->moved : $moved | $dates->moved;
            }
        }

        return 2 * substr_count($moved, Mask::IN) > $before->course->count ? null : $moved;
    }

    /** Null where more than dates differs. */
    private function dates(Profile $before, Profile $after): ?DatesMoved
    {
        $offer = $before->offer->key;
        if (! array_key_exists($offer, $this->dates)) {
            $this->dates[$offer] = $before->covered === $after->covered && $before->pacing->held === $after->pacing->held ? new DatesMoved($before->pacing, $after->pacing) : null;
        }

        return $this->dates[$offer];
    }
}
