<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\PassMasks;
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

    /** @var array<array-key, bool> by offer: whether it is the same in both but for its dates */
    private array $alike = [];

    /** @var array<array-key, array{list<array{int, int}>, list<array{int, int}>}> by offer: the release steps that items have before and after, and the closing steps */
    private array $steps = [];

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

    /** Whether the change leaves this viewer alone: nothing but dates has changed, and of theirs none that lies ahead. */
    public function isUntouched(ViewerMasks $before, ViewerMasks $after): bool
    {
        if (! $this->onlyDatesDiffer || $before->labels->stand($this->at) !== $after->labels->stand($this->at) || count($before->passes) !== count($after->passes)) {
            return false;
        }
        foreach ($before->passes as $index => $pass) {
            if (! $this->sameDates($pass, $after->passes[$index])) {
                return false;
            }
        }

        return true;
    }

    private function sameDates(PassMasks $before, PassMasks $after): bool
    {
        $offer = $before->profile->offer->key;
        if (! ($this->alike[$offer] ??= $before->profile->covered === $after->profile->covered && $before->profile->pacing->held === $after->profile->pacing->held)) {
            return false;
        }
        if ($before->datesAhead($this->at) === '' && $after->datesAhead($this->at) === '') {
            return true;
        }
        [$releases, $closings] = $this->steps[$offer] ??= [
            self::together($before->profile->pacing->releaseStep, $after->profile->pacing->releaseStep),
            self::together($before->profile->pacing->closingStep, $after->profile->pacing->closingStep),
        ];

        return $this->comeTogether($releases, $before->releases(), $after->releases()) && $this->comeTogether($closings, $before->closings(), $after->closings());
    }

    /**
     * @param  list<int>  $before  by item
     * @param  list<int>  $after  by item
     * @return list<array{int, int}> the steps before and after the change that an item has
     */
    private static function together(array $before, array $after): array
    {
        $together = [];
        foreach ($before as $item => $step) {
            $together[$step.','.$after[$item]] = [$step, $after[$item]];
        }

        return array_values($together);
    }

    /**
     * Whether what lies ahead comes at the same instants.
     *
     * @param  list<array{int, int}>  $steps
     * @param  list<int>  $before
     * @param  list<int>  $after
     */
    private function comeTogether(array $steps, array $before, array $after): bool
    {
        foreach ($steps as [$was, $is]) {
            if ($before[$was] !== $after[$is] && ($before[$was] > $this->at || $after[$is] > $this->at)) {
                return false;
            }
        }

        return true;
    }
}
