<?php

declare(strict_types=1);

namespace App\Access;

use SilentKeep\Core\Compiled\Answers;
use SilentKeep\Core\Compiled\Chronicle;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\ProgressCount;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/**
 * What the core says of a course to one viewer at one instant. Asked once, and shared by all that is made of it: the page, the
 * notice at a closed door, what is for sale there, why it is closed. Get one of {@see Plans::ask()}.
 */
final class Answer
{
    /** @var ?list<Decision> */
    private ?array $decisions = null;

    private ?CourseSnapshot $snapshot = null;

    private ?self $visitor = null;

    public function __construct(public readonly Decider $decider, private readonly CompiledDecider $compiled, public readonly Viewer $viewer, public readonly int $at)
    {
    }

    /** @return list<Decision> every item in reading order */
    public function decisions(): array
    {
        return $this->decisions ??= $this->compiled->decide($this->viewer, $this->at);
    }

    /**
     * Whose reasons are told where an item is closed: a guest who could look at a sample with an account of their own is told what any
     * visitor is.
     */
    public function told(int $item): Decision
    {
        $decision = $this->decisions()[$item];
        if ($this->viewer->signedIn || array_filter($decision->why, static fn (Reason $why): bool => $why === Reason::GuestsNotHere || $why === Reason::GuestsShut) === []) {
            return $decision;
        }
        $visitors = ($this->visitor ??= $this->to(Viewers::visitor()))->decisions()[$item];

        return in_array(Reason::SampleNeedsAccount, $visitors->why, true) ? $visitors : $decision;
    }

    /**
     * Of some items alone: for many viewers one after another.
     *
     * @param  list<int>  $items  positions
     * @return list<Decision> in their order
     */
    public function decisionsOn(array $items): array
    {
        return array_map($this->compiled->answers($this->viewer, $this->at, $items)->decision(...), $items);
    }

    /** The same question about somebody else. */
    public function to(Viewer $viewer): self
    {
        return new self($this->decider, $this->compiled, $viewer, $this->at);
    }

    public function state(int $item): State
    {
        return $this->decisions()[$item]->state;
    }

    /** @return list<string> keys of the offers of which they hold or held a pass themselves, that of the latest first */
    public function offersHeld(): array
    {
        $passes = $this->viewer->passes;
        usort($passes, static fn (Pass $a, Pass $b): int => $b->from <=> $a->from);

        return array_values(array_unique(array_map(static fn (Pass $pass): string => $pass->offer, $passes)));
    }

    /** The same with the rule objects that it rests on: what `why` and words are made of. */
    public function snapshot(): CourseSnapshot
    {
        return $this->snapshot ??= $this->decider->snapshot($this->viewer, $this->at);
    }

    /** Whether the season of the course is over for this viewer, or it was retired and they do not keep it. */
    public function isOver(): bool
    {
        return in_array($this->snapshot()->gate, [Reason::CourseOver, Reason::CourseRetired], true);
    }

    /** @return array{int, int, int} lessons finished, of how many that are asked of them; and optional ones not finished */
    public function progress(): array
    {
        return (new ProgressCount($this->compiled))->of($this->viewer, $this->at);
    }

    /** @return non-empty-array<int, Answers> by the instant from which they hold, if only time moves */
    public function chronicle(): array
    {
        return (new Chronicle($this->compiled))->of($this->viewer, $this->at);
    }

    /** The first instant after this one at which anything of it may be another; Instant::NEVER where nothing will. */
    public function holdsUntil(): int
    {
        $viewer = $this->viewer;
        $finished = array_filter([...array_values($viewer->done), ...array_values($viewer->observes->done ?? [])], fn (int $since): bool => $since > $this->at);
        $points = array_slice($this->compiled->instants($this->compiled->viewer($viewer, $this->at), $this->at, Instant::NEVER), 0, 1);

        return min([Instant::NEVER, ...$finished, ...$points]);
    }
}
