<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\Instants;
use SilentKeep\Core\Viewing\PassState;

/** Time as one viewer goes through it, cut where anything but a step of a pass may change something for them. */
final readonly class Cuts
{
    /** @var list<PassMasks> that may open something from then on */
    private array $passes;

    /** @var array<int, int> of each of them, the first of those that go with it */
    private array $first;

    private ?self $observed;

    /** @param  int  $at  the instant from which is asked */
    public function __construct(private ViewerMasks $viewer, int $at)
    {
        $passes = [];
        foreach ($viewer->passes as $pass) {
            if ($pass->pass->state === PassState::Active && $pass->pass->until > $at) {
                $passes[] = $pass;
            }
        }
        $this->passes = $passes;
        $this->first = isset($passes[1]) ? self::together($passes, $at) : [0];
        $this->observed = $viewer->observed === null ? null : new self($viewer->observed, $at);
    }

    /**
     * @param  list<PassMasks>  $passes
     * @return array<int, int>
     */
    private static function together(array $passes, int $at): array
    {
        $first = array_keys($passes);
        foreach ($passes as $number => $pass) {
            for ($other = 0; $other < $number; $other++) {
                if ($first[$other] === $other && $pass->goesWith($passes[$other], $at)) {
                    $first[$number] = $other;
                    break;
                }
            }
        }

        return $first;
    }

    /** @return list<int> ascending */
    public function after(int $at): array
    {
        return Instants::between($this->instants(), $at);
    }

    /** @return list<int> in no order */
    private function instants(): array
    {
        $cuts = $this->viewer->labels->instants === [] && $this->viewer->course->conditions->instants === [] ? [] : $this->conditionInstants();
        foreach ($this->passes as $pass) {
            $cuts[] = $pass->pass->from;
            $cuts[] = $pass->pass->until;
        }
        if ($this->viewer->byPassesOnly && $this->viewer->course->alwaysIn) {
            return $cuts;
        }
        $course = $this->viewer->course->prepared->course;
        foreach ($this->viewer->grants as [$grant]) {
            array_push($cuts, $grant->from, $grant->until);
        }
        if ($course->opens !== null) {
            $cuts[] = $course->opens;
        }
        if ($course->closes !== null) {
            $cuts[] = $course->closes;
        }
        if ($course->entry === Entry::Anyone || $this->viewer->viewer->guest || $this->viewer->observed !== null) {
            array_push($cuts, ...$this->viewer->course->mainPlan->instants(shutting: false));
        }

        return $this->observed === null ? $cuts : [...$cuts, ...$this->observed->instants()];
    }

    /** @return list<int> at which a condition may change that matters: none after the last pass, where conditions bear on passes alone */
    private function conditionInstants(): array
    {
        $instants = [...$this->viewer->labels->instants, ...$this->viewer->course->conditions->instants];
        $samples = $this->viewer->course->prepared->samples;
        if (! $samples->unconditional || $this->observed !== null || $this->viewer->viewer->guest || $this->viewer->course->prepared->course->entry === Entry::Anyone) {
            return $instants;
        }
        $last = 0;
        foreach ($this->passes as $pass) {
            $last = max($last, $pass->pass->until);
        }

        return array_values(array_filter($instants, static fn (int $instant): bool => $instant < $last));
    }

    /**
     * Time from an instant on. Two of them between which nothing but the cut lies are one: most often a label or a date changes nothing
     * for whoever is asked about.
     *
     * @param  list<int>  $cuts  after it, ascending
     * @return non-empty-list<Stretch> one after another
     */
    public function stretches(int $from, array $cuts): array
    {
        $stretches = [];
        $sources = $this->sources($from);
        $steady = $this->steady($from);
        foreach ($cuts as $cut) {
            $next = $this->sources($cut);
            $steadyThen = $this->steady($cut);
            if ($next === $sources && $steadyThen === $steady) {
                continue;
            }
            $stretches[] = new Stretch($from, $cut, $sources, $steady);
            [$from, $sources, $steady] = [$cut, $next, $steadyThen];
        }
        $stretches[] = new Stretch($from, Instant::NEVER, $sources, $steady);

        return $stretches;
    }

    /** @return list<array{PassMasks, string}> the passes that open things to this viewer at an instant, one of those that go together, each with what they open when it is time */
    private function sources(int $at): array
    {
        $sources = $this->viewer->gate($at) === null ? $this->ownSources($at, ViewerKind::Learner, $this->viewer->course->published) : [];
        if ($this->observed === null || ! $this->follows() || $this->viewer->gate($at) !== null || ! $this->observed->viewer->isLetIn($at)) {
            return $sources;
        }

        return [...$sources, ...$this->observed->ownSources($at, ViewerKind::Observer, $this->viewer->course->doors()->observersAdmitted & $this->viewer->course->published)];
    }

    /** @return list<array{PassMasks, string}> */
    private function ownSources(int $at, ViewerKind $kind, string $within): array
    {
        $sources = [];
        foreach ($this->passes as $number => $pass) {
            if ($pass->pass->from <= $at && $at < $pass->pass->until) {
                $lasting = $pass->lasting($at, $kind);
                $lasting = $within === $this->viewer->course->all ? $lasting : $lasting & $within;
                // What several open at the same times is looked at once.
                $first = $this->first[$number];
                if (isset($sources[$first])) {
                    $sources[$first][1] |= $lasting;
                } else {
                    $sources[$first] = [$pass, $lasting];
                }
            }
        }

        return array_values($sources);
    }

    /** What is open otherwise than by passes. */
    private function steady(int $at): string
    {
        if ($this->viewer->byPassesOnly) {
            return $this->viewer->course->none;
        }
        $course = $this->viewer->course;
        $steady = $this->viewer->grants === [] ? $course->none : $this->viewer->byGrant($at);
        if ($this->viewer->gate($at) === null) {
            if ($course->hasSamples) {
                $steady |= $this->viewer->asSample($at);
            }
            if ($course->prepared->course->entry === Entry::Anyone || $this->viewer->viewer->guest) {
                $steady |= $this->viewer->asAnyone($at) | $this->viewer->asGuest($at);
            }
            if ($this->viewer->observed !== null && ! $this->follows()) {
                $steady |= $this->viewer->asObserver($at);
            } elseif ($this->viewer->observed !== null && $this->viewer->course->prepared->course->observerDoor->open) {
                $others = $this->viewer->observed->byGrant($at);
                $steady |= $this->viewer->course->doors()->observersAdmitted & ($this->viewer->observed->isLetIn($at) ? $others | $this->viewer->observed->asAnyone($at, ViewerKind::Observer) : $others);
            }
        }

        return $course->hasDrafts ? $steady & $course->published : $steady;
    }

    private function follows(): bool
    {
        $door = $this->viewer->course->prepared->course->observerDoor;

        return $door->open && $door->follow;
    }
}
