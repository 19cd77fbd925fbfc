<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\Pacing;
use SilentKeep\Core\Compiled\PassMasks;

/** What a change does to the dates of one offer, seen by the passes that were looked at so far. */
final class DatesMoved
{
    /** Mask of the items a date of which has moved for any of them. */
    public string $moved;

    /** @var list<array{int, int, list<int>}> release steps before and after the change, with the items that have these two */
    private array $releases;

    /** @var list<array{int, int, list<int>}> the same of closing steps */
    private array $closings;

    public function __construct(Pacing $before, Pacing $after)
    {
        $this->moved = str_repeat(Mask::OUT, count($before->releaseStep));
        $this->releases = self::together($before->releaseStep, $after->releaseStep);
        $this->closings = $before->everCloses || $after->everCloses ? self::together($before->closingStep, $after->closingStep) : [];
    }

    /**
     * @param  list<int>  $before  by item
     * @param  list<int>  $after  by item
     * @return list<array{int, int, list<int>}>
     */
    private static function together(array $before, array $after): array
    {
        $together = [];
        foreach ($before as $item => $step) {
            $together[$step.','.$after[$item]] ??= [$step, $after[$item], []];
            $together[$step.','.$after[$item]][2][] = $item;
        }

        return array_values($together);
    }

    /** Whether anything that lies ahead of an instant, before the change or after, comes at another one. */
    public function move(PassMasks $before, PassMasks $after, int $at): bool
    {
        if ($before->datesAhead($at) === '' && $after->datesAhead($at) === '') {
            return false;
        }
        $releases = $this->compare($this->releases, $before->releases(), $after->releases(), $at);

        return ($this->closings !== [] && $this->compare($this->closings, $before->closings(), $after->closings(), $at)) || $releases;
    }

    /**
     * @param  list<array{int, int, list<int>}>  $steps
     * @param  list<int>  $before
     * @param  list<int>  $after
     */
    private function compare(array $steps, array $before, array $after, int $at): bool
    {
        $move = false;
        foreach ($steps as [$was, $is, $items]) {
            if ($before[$was] !== $after[$is] && ($before[$was] > $at || $after[$is] > $at)) {
                $move = true;
                foreach ($items as $item) {
                    $this->moved[$item] = Mask::IN;
                }
            }
        }

        return $move;
    }
}
