<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Time\Instant;

/**
 * A release plan all of whose steps come on dates: for everybody who has begun before something comes that closes so many days after,
 * the same comes, whenever they began.
 */
final class FixedDates
{
    /** @var list<int> the instant of each closing step */
    public readonly array $closings;

    /** Who begins later finds something released already that closes so many days after: for them that is another day. */
    private readonly int $latestBeginning;

    /** @var ?array{list<int>, list<int>} all that comes, the same for whoever asks */
    private ?array $inOrder = null;

    /** @param  list<int>  $dates  the instant of each release step, the first of which is not a date but the beginning, and nothing counts from it */
    private function __construct(public readonly array $dates, ClosingSteps $closing)
    {
        $this->closings = $closing->instants($dates, PHP_INT_MIN);
        $latest = Instant::NEVER;
        foreach ($closing->rules as [$rule, $release]) {
            $latest = $rule instanceof ClosesOn ? $latest : min($latest, $dates[$release]);
        }
        $this->latestBeginning = $latest;
    }

    /**
     * @param  list<int>  $dates  ascending, of all release steps but the first
     * @return ?self null where something closes so many days after the beginning itself
     */
    public static function of(array $dates, ClosingSteps $closing): ?self
    {
        foreach ($closing->rules as [$rule, $release]) {
            if ($release === 0 && ! $rule instanceof ClosesOn) {
                return null;
            }
        }

        return new self([PHP_INT_MIN, ...$dates], $closing);
    }

    /**
     * Whether they hold for a pass.
     *
     * @param  int  $start  the instant from which it is paced
     * @param  int  $from  at which it begins
     */
    public function holdFor(int $start, int $from): bool
    {
        return $start <= $this->latestBeginning && $from <= $this->latestBeginning;
    }

    /**
     * What comes after an instant at which the pass has begun to be paced.
     *
     * @return array{list<int>, list<int>, int} instants, ascending; by the same places a release step each, or after all of these a closing step; the place of the first that comes after it
     */
    public function ahead(int $at): array
    {
        [$instants, $steps] = $this->inOrder ??= Rungs::ahead([...$this->dates, ...$this->closings], PHP_INT_MIN, Instant::NEVER);

        return [$instants, $steps, Rungs::until($instants, $at)];
    }
}
